<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** Files that systems and editors leave behind and nobody meant to hand in (common practice). */
final readonly class LitterNames
{
    private const NAMES = ['.ds_store', 'thumbs.db', 'desktop.ini', '.directory'];

    public static function is(string $path): bool
    {
        $name = strtolower(basename($path));

        return str_starts_with($path, '__MACOSX/')
            || in_array($name, self::NAMES, true)
            || str_starts_with($name, '._')
            || str_ends_with($name, '~');
    }
}
