<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests;

/** Circles among folders that use each other. */
final readonly class Circles
{
    /**
     * @param  array<string, list<string>>  $uses  the folders that each folder uses
     * @return list<string> the folders from which a way leads back to themselves
     */
    public static function among(array $uses): array
    {
        return array_values(array_filter(
            array_keys($uses),
            fn (string $folder) => in_array($folder, self::reached($uses, $folder), true),
        ));
    }

    /**
     * @param  array<string, list<string>>  $uses
     * @return list<string>
     */
    private static function reached(array $uses, string $from): array
    {
        $reached = [];
        $next = $uses[$from] ?? [];
        while (($folder = array_pop($next)) !== null) {
            if (! in_array($folder, $reached, true)) {
                $reached[] = $folder;
                array_push($next, ...$uses[$folder] ?? []);
            }
        }

        return $reached;
    }
}
