<?php

declare(strict_types=1);

namespace InkedMargin\Core\Example;

use FilesystemIterator;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Source\SourceFile;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use Symfony\Component\Yaml\Yaml;

/**
 * Reads the examples of a rule from `data/examples/<rule>/<number>-<variant>/`. `bad/` and `good/` hold what differs,
 * `both/` what does not; `example.yaml` says what else the example takes. `data/examples/README.md` has the details.
 */
final readonly class ExampleReader
{
    private const ROOT = __DIR__.'/../../data/examples';

    private const MATERIALS = ['starter', 'model', 'copy', 'sheets'];

    /**
     * @param  string  $rule  its id
     * @return list<string> the variant of each example, in order
     */
    public static function variants(string $rule): array
    {
        /** @var array<string, list<string>> $known */
        static $known = [];

        return $known[$rule] ??= array_map(self::variant(...), self::folders($rule));
    }

    /** @return list<Example> */
    public static function read(string $rule): array
    {
        return array_map(self::example(...), self::folders($rule));
    }

    /** The example of one of a rule's ways to fail; its first one for a variant that it does not have. */
    public static function of(string $rule, string $variant): Example
    {
        $folders = self::folders($rule);
        $wanted = array_filter($folders, fn (string $folder) => self::variant($folder) === $variant);

        return self::example(reset($wanted) ?: $folders[0]);
    }

    /** @return list<string> */
    private static function folders(string $rule): array
    {
        $folders = glob(self::ROOT."/$rule/*", GLOB_ONLYDIR) ?: [];
        natsort($folders);

        return array_values($folders);
    }

    private static function variant(string $folder): string
    {
        return explode('-', basename($folder), 2)[1] ?? '';
    }

    private static function example(string $folder): Example
    {
        $facts = self::facts($folder);
        $packing = fn (string $which) => new Packing(
            $facts['archive'][$which] ?? null,
            $facts['folders'][$which] ?? [],
            address: $facts['address'][$which] ?? null,
        );
        $materials = [];
        foreach (self::MATERIALS as $what) {
            if (is_dir("$folder/$what")) {
                $materials[$what] = new ExampleFiles(self::files(["$folder/$what"]));
            }
        }
        $files = fn (string $which) => new ExampleFiles(
            self::files(["$folder/$which", "$folder/both"], $facts['sizes'][$which] ?? []),
        );

        return new Example(
            self::variant($folder),
            $files('bad'),
            $files('good'),
            $facts['requirement'] ?? [],
            $packing('bad'),
            $packing('good'),
            $materials,
        );
    }

    /**
     * @return array{requirement?: array<string, mixed>, archive?: array<string, string>,
     *     folders?: array<string, list<string>>, address?: array<string, string>,
     *     sizes?: array<string, array<string, int>>}
     */
    private static function facts(string $folder): array
    {
        /** @var array{requirement?: array<string, mixed>} $facts */
        $facts = is_file("$folder/example.yaml") ? Yaml::parseFile("$folder/example.yaml") : [];

        return $facts;
    }

    /**
     * @param  list<string>  $folders
     * @param  array<string, int>  $sizes  bytes to which files are filled up with spaces, by path
     * @return list<SourceFile> by path
     */
    private static function files(array $folders, array $sizes = []): array
    {
        $files = [];
        foreach (array_filter($folders, is_dir(...)) as $folder) {
            $entries = new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS);
            /** @var \SplFileInfo $entry */
            foreach (new RecursiveIteratorIterator($entries) as $entry) {
                $path = substr($entry->getPathname(), strlen($folder) + 1);
                $bytes = (string) file_get_contents($entry->getPathname());
                $files[] = new SourceFile($path, str_pad($bytes, $sizes[$path] ?? 0));
            }
        }
        usort($files, fn (SourceFile $a, SourceFile $b) => strcmp($a->path, $b->path));

        return $files;
    }
}
