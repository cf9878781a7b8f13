<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** Paths from one file of a site to another. */
final readonly class RelativePath
{
    /** Whether an address is a path in the site, and not that of another one. */
    public static function isPath(string $address): bool
    {
        return preg_match('~^[a-z][a-z0-9+.-]*:~i', $address) !== 1;
    }

    /** The text to type in one file to reach another. */
    public static function between(string $from, string $to): string
    {
        $here = explode('/', $from);
        array_pop($here);
        $there = explode('/', $to);
        while (count($there) > 1 && $here !== [] && $here[0] === $there[0]) {
            array_shift($here);
            array_shift($there);
        }

        return str_repeat('../', count($here)).implode('/', array_map(rawurlencode(...), $there));
    }
}
