<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** The text to type in one file to reach another file of the same site. */
final readonly class RelativePath
{
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
