<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/** File names with `*` (any characters within a folder), `**` (any folders) and `?` (one character). Common practice. */
final readonly class Glob
{
    public static function matches(string $glob, string $path): bool
    {
        $pattern = strtr(preg_quote($glob, '~'), ['\*\*/' => '(?:.*/)?', '\*\*' => '.*', '\*' => '[^/]*', '\?' => '[^/]']);

        return preg_match("~^$pattern\$~uD", $path) === 1;
    }
}
