<?php

declare(strict_types=1);

namespace App\Records;

/** What the tables name that stands beside them. */
final readonly class TablesWritten
{
    /**
     * @param  array<string, true>  $hashes  of bytes, in order
     * @param  list<string>  $handIns  ids
     */
    public function __construct(public array $hashes, public array $handIns)
    {
    }
}
