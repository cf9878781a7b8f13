<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** A requirement that names files, folders or elements which the site should have. */
interface NamesThings
{
    /**
     * @param  'path'|'element'  $what
     * @return list<string> parts of paths (folders and file names), or names of elements
     */
    public function named(string $what): array;
}
