<?php

declare(strict_types=1);

// File systems of other machines ignore case, and an import names no ending.
it('has no two files of the interface that differ by case or ending alone', function () {
    $root = dirname(__DIR__, 2).'/resources/js';
    $names = [];
    foreach (new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS),
    ) as $file) {
        $path = substr($file->getPathname(), strlen($root) + 1);
        $names[strtolower((string) preg_replace('/(\.test)?(\.d)?\.\w+$/', '$1', $path))][] = $path;
    }

    expect(array_values(array_filter($names, fn (array $alike) => count($alike) > 1)))->toBe([]);
});

it('has no two classes of the application that differ by case alone', function () {
    $names = [];
    foreach (new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/app', FilesystemIterator::SKIP_DOTS),
    ) as $file) {
        $names[strtolower($file->getPathname())][] = $file->getPathname();
    }

    expect(array_filter($names, fn (array $alike) => count($alike) > 1))->toBe([]);
});
