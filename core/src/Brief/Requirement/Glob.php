<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/**
 * File names with `*` (any characters within a folder), `**` (any folders) and `?` (one character). Common practice.
 */
final readonly class Glob
{
    private const WILDCARDS = ['\*\*/' => '(?:.*/)?', '\*\*' => '.*', '\*' => '[^/]*', '\?' => '[^/]'];

    /** Whether it is more than the name of one file. */
    public static function isPattern(string $glob): bool
    {
        return strpbrk($glob, '*?') !== false;
    }

    public static function matches(string $glob, string $path): bool
    {
        if ($glob === $path) {
            return true;
        }
        if (! self::isPattern($glob)) {
            return false;
        }
        $pattern = strtr(preg_quote($glob, '~'), self::WILDCARDS);

        return preg_match("~^$pattern\$~usD", $path) === 1;
    }
}
