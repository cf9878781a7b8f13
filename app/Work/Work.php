<?php

declare(strict_types=1);

namespace App\Work;

/** Something that a process of its own can do. It is serialized, as is what it gives; it must not use the database. */
interface Work
{
    /** @param  \Closure(mixed): void  $tell  tells who waits for it something while it goes on */
    public function run(\Closure $tell): mixed;
}
