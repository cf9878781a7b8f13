<?php

declare(strict_types=1);

namespace App\Sites;

/** The example sites that ship: each meets the brief of the same name. */
final readonly class Examples
{
    /** @return array<string, string> their folders by name */
    public static function all(): array
    {
        $folders = [];
        foreach (glob(base_path('docs/briefs/*/right'), GLOB_ONLYDIR) ?: [] as $folder) {
            $folders[basename(dirname($folder))] = $folder;
        }

        return $folders;
    }

    public static function title(string $name): string
    {
        return 'the example '.str_replace('-', ' ', $name);
    }
}
