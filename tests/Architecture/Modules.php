<?php

declare(strict_types=1);

namespace Tests\Architecture;

use Symfony\Component\Finder\Finder;

/** Which folders of the application use which, read from its code. A folder is named by its path below `app`. */
final readonly class Modules
{
    private const ROOT = __DIR__.'/../../app';

    /** @return array<string, list<string>> the folders that each folder uses, in order */
    public static function uses(): array
    {
        $uses = [];
        foreach (self::classes() as $class => $code) {
            $folder = dirname($class);
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

    /** @return list<string> folders directly below `app` */
    public static function names(): array
    {
        return array_map(basename(...), glob(self::ROOT.'/*', GLOB_ONLYDIR) ?: []);
    }

    /** @return array<string, string> code by class, without its own namespace */
    private static function classes(): array
    {
        $classes = [];
        foreach (Finder::create()->files()->in(self::ROOT)->name('*.php') as $file) {
            $code = (string) preg_replace('/^namespace .*/m', '', $file->getContents());
            $classes[substr($file->getRelativePathname(), 0, -4)] = $code;
        }

        return $classes;
    }
}
