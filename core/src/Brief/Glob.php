<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/**
 * File names with `*` (any characters within a folder), `**` (any folders) and `?` (one character). Common practice.
 */
final readonly class Glob
{
    private const WILDCARDS = ['\*\*/' => '(?:.*/)?', '\*\*' => '.*', '\*' => '[^/]*', '\?' => '[^/]'];

    public static function matches(string $glob, string $path): bool
    {
        if ($glob === $path) {
            return true;
        }
        if (strpbrk($glob, '*?') === false) {
            return false;
        }
        $pattern = strtr(preg_quote($glob, '~'), self::WILDCARDS);

        return preg_match("~^$pattern\$~usD", $path) === 1;
    }
}
