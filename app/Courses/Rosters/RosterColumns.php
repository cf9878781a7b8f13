<?php

declare(strict_types=1);

namespace App\Courses\Rosters;

use App\Tables\RosterRow;

/** Which column of a roster holds what, by their headings or by what stands in them. */
final readonly class RosterColumns
{
    private const MOST = 0.8;

    /** @param  list<RosterColumn>  $columns */
    public function __construct(public array $columns, public bool $hasHeading)
    {
    }

    /** @param  list<RosterRow>  $rows */
    public static function guess(array $rows): self
    {
        $first = $rows[0]->cells ?? [];
        $headed = array_map(RosterColumn::headed(...), $first);
        $isHeading = array_filter($headed) !== [] && array_filter(
            $first,
            fn (string $cell) => str_contains($cell, '@'),
        ) === []
            && array_filter($first, fn (string $cell) => preg_match('/\d{3,}/', $cell) === 1) === [];
        $body = $isHeading ? array_slice($rows, 1) : $rows;
        $width = max([0, ...array_map(fn (RosterRow $row) => count($row->cells), $rows)]);
        $columns = array_fill(0, $width, RosterColumn::Other);
        $taken = [];
        $take = function (int $at, ?RosterColumn $column) use (&$columns, &$taken): void {
            if ($column !== null && ! isset($taken[$column->value]) && $columns[$at] === RosterColumn::Other) {
                $columns[$at] = $column;
                $taken[$column->value] = true;
            }
        };
        foreach ($isHeading ? $headed : [] as $at => $column) {
            $take($at, $column);
        }
        foreach (array_keys($columns) as $at) {
            $take($at, self::byContent(array_map(fn (RosterRow $row) => $row->cells[$at] ?? '', $body)));
        }
        $isNamed = isset($taken['name']) || isset($taken['first']) || isset($taken['last']);
        $words = array_values(array_filter(
            array_keys($columns),
            fn (int $at) => $columns[$at] === RosterColumn::Other && self::isOfWords($body, $at),
        ));
        if (! $isNamed && count($words) >= 2) {
            $take($words[0], RosterColumn::First);
            $take($words[1], RosterColumn::Last);
        } elseif (! $isNamed && $words !== []) {
            $take($words[0], RosterColumn::Name);
        } elseif ($isNamed && $words !== [] && self::areFew($body, $words[0])) {
            $take($words[0], RosterColumn::Group);
        }

        return new self($columns, $isHeading);
    }

    /** @param  list<string>  $cells */
    private static function byContent(array $cells): ?RosterColumn
    {
        $filled = array_values(array_filter($cells, fn (string $cell) => $cell !== ''));
        $are = fn (string $pattern) => $filled !== []
            && count(preg_grep($pattern, $filled) ?: []) >= self::MOST * count($filled);
        $differ = count(array_unique($filled)) === count($filled);

        return match (true) {
            $are('/^[^@\s]+@[^@\s]+$/') => RosterColumn::Email,
            $are('/^\p{L}[\p{L}\p{M}.\'’-]*(?:,? \p{L}[\p{L}\p{M}.\'’-]*)+$/u') => RosterColumn::Name,
            $differ && $are('/^(?=.*\d)[\p{L}\d._-]+$/u') => RosterColumn::Handle,
            $differ && $are('/^\p{Ll}[\p{Ll}\d._-]*$/u') => RosterColumn::Handle,
            ! $differ && $are('/^.{1,30}$/u') && $are('/\d|^\p{Lu}{1,3}$/u') => RosterColumn::Group,
            default => null,
        };
    }

    /** @param  list<RosterRow>  $rows */
    private static function isOfWords(array $rows, int $at): bool
    {
        $filled = array_filter(
            array_map(fn (RosterRow $row) => $row->cells[$at] ?? '', $rows),
            fn (string $cell) => $cell !== '',
        );

        return $filled !== []
            && count(preg_grep('/^\p{L}[\p{L}\p{M}.\'’ -]*$/u', $filled) ?: []) >= self::MOST * count($filled);
    }

    /** @param  list<RosterRow>  $rows */
    private static function areFew(array $rows, int $at): bool
    {
        $cells = array_map(fn (RosterRow $row) => $row->cells[$at] ?? '', $rows);

        return 2 * count(array_unique($cells)) <= count($cells);
    }
}
