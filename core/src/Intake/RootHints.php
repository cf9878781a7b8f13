<?php

declare(strict_types=1);

namespace InkedMargin\Core\Intake;

/** What is known of a site before it is unpacked: it helps to find its root where the home page is missing. */
final readonly class RootHints
{
    /**
     * @param  list<string>  $paths  of files that the site should have, from its root
     * @param  int|null  $usualDepth how many folders are around the sites of most of the class; null when that is not
     *     known
     */
    public function __construct(public array $paths = [], public ?int $usualDepth = null)
    {
    }

    /**
     * How many of the paths are there, whatever their letter case.
     *
     * @param  array<array-key, mixed>  $files  by path
     */
    public function found(array $files): int
    {
        $key = fn (int|string $path) => 'at '.mb_strtolower((string) $path);
        $there = array_fill_keys(array_map($key, array_keys($files)), true);

        return count(array_filter($this->paths, fn (string $path) => isset($there[$key($path)])));
    }
}
