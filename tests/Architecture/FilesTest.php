<?php

declare(strict_types=1);

use Symfony\Component\Finder\Finder;

// File systems of other machines ignore case, and an import of the interface names no ending.
it('has no two files that differ by case or ending alone', function (string $folder) {
    $names = [];
    foreach (Finder::create()->files()->in(dirname(__DIR__, 2)."/$folder") as $file) {
        $path = $file->getRelativePathname();
        $names[strtolower((string) preg_replace('/(\.d)?\.\w+$/', '', $path))][] = $path;
    }

    expect(array_values(array_filter($names, fn (array $alike) => count($alike) > 1)))->toBe([]);
})->with(['app', 'resources/js']);
