<?php

declare(strict_types=1);

namespace Tests\Architecture;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** Which folders of the application use which, read from its code. A folder is named by its path below `app`. */
final readonly class Modules
{
    private const ROOT = __DIR__.'/../../app';

    /** @return array<string, list<string>> the folders that each folder uses, in order */
    public static function uses(): array
    {
        $uses = [];
        foreach (self::classes() as $class => $code) {
            $folder = self::folder($class);
            preg_match_all('/\bApp\\\\((?:\w+\\\\)+)\w+/', $code, $named);
            $others = array_map(fn (string $name) => str_replace('\\', '/', rtrim($name, '\\')), $named[1]);
            $uses[$folder] = [...$uses[$folder] ?? [], ...array_diff($others, [$folder])];
        }
        $sorted = [];
        foreach ($uses as $folder => $others) {
            $others = array_unique($others);
            sort($others);
            $sorted[$folder] = $others;
        }
        ksort($sorted);

        return $sorted;
    }

    /** @return list<string> folders from which a way leads back to themselves */
    public static function circles(): array
    {
        $uses = self::uses();

        return array_values(array_filter(
            array_keys($uses),
            fn (string $folder) => isset(self::reached($uses, $folder)[$folder]),
        ));
    }

    /** @return list<string> folders directly below `app` */
    public static function names(): array
    {
        return array_map(basename(...), glob(self::ROOT.'/*', GLOB_ONLYDIR) ?: []);
    }

    /**
     * @param  array<string, list<string>>  $uses
     * @return array<string, true>
     */
    private static function reached(array $uses, string $from): array
    {
        $reached = [];
        $next = $uses[$from] ?? [];
        while (($folder = array_pop($next)) !== null) {
            if (! isset($reached[$folder])) {
                $reached[$folder] = true;
                array_push($next, ...$uses[$folder] ?? []);
            }
        }

        return $reached;
    }

    /** @return array<string, string> code by class, without its own namespace */
    private static function classes(): array
    {
        $classes = [];
        foreach (new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator(self::ROOT, FilesystemIterator::SKIP_DOTS),
        ) as $file) {
            if ($file->getExtension() === 'php') {
                $class = substr($file->getPathname(), strlen(self::ROOT) + 1, -4);
                $code = (string) file_get_contents($file->getPathname());
                $classes[$class] = (string) preg_replace('/^namespace .*/m', '', $code);
            }
        }

        return $classes;
    }

    private static function folder(string $class): string
    {
        return dirname($class);
    }
}
