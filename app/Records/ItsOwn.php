<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Whether rows that were read make one course and nothing else. Whoever made the records may have written rows into
 * them that belong to another course, or that name what is another's.
 */
final readonly class ItsOwn
{
    /** People may be here already, and teach elsewhere: who wrote what is looked at by itself. */
    private const PEOPLE = 'users';

    /**
     * @param  array<string, int>  $written  rows by table
     * @param  list<string>  $people  ids of those here that the records are about
     *
     * @throws RecordsError
     */
    public static function assert(Scope $scope, array $written, array $people): void
    {
        $rows = [];
        foreach (Tables::all() as $table) {
            $rows[$table->name] = "(select * from $table->name where $table->rows)";
        }
        foreach (Tables::all() as $table) {
            $own = self::count("select count(*) from {$rows[$table->name]} t", $scope);
            if ($table->name !== self::PEOPLE && $own !== $written[$table->name]) {
                throw self::foreign($table);
            }
            foreach (self::keys($table) as [$column, $other, $id]) {
                $isOther = $other === self::PEOPLE
                    ? self::countOf($table, $column, $rows[$table->name], $scope, $people)
                    : self::count(
                        "select count(*) from {$rows[$table->name]} t where \"$column\" is not null and \"$column\" "
                            ."not in (select \"$id\" from {$rows[$other]} o)",
                        $scope,
                    );
                if ($isOther > 0) {
                    throw self::foreign($table);
                }
            }
        }
    }

    /** @return iterable<array{string, string, string}> column, the table that it leads to, and the column there */
    private static function keys(Table $table): iterable
    {
        $tables = array_column(Tables::all(), 'name');
        /** @var list<array{columns: list<string>, foreign_table: string, foreign_columns: list<string>}> $keys */
        $keys = Schema::getForeignKeys($table->name);
        foreach ($keys as $key) {
            if (in_array($key['foreign_table'], $tables, true)) {
                yield [$key['columns'][0], $key['foreign_table'], $key['foreign_columns'][0]];
            }
        }
    }

    /**
     * Rows by somebody who is not in the records. People who came with them are new here.
     *
     * @param  list<string>  $people
     */
    private static function countOf(Table $table, string $column, string $rows, Scope $scope, array $people): int
    {
        $list = '{'.implode(',', $people).'}';
        $sql = "select count(*) from $rows t where \"$column\" is not null "
            ."and not (\"$column\" = any(:people::uuid[]))";

        return self::count($sql, $scope, ['people' => $list]);
    }

    /** @param  array<string, string>  $more */
    private static function count(string $sql, Scope $scope, array $more = []): int
    {
        $count = DB::scalar($sql, $scope->named($sql) + $more);

        return is_numeric($count) ? (int) $count : 0;
    }

    private static function foreign(Table $table): RecordsError
    {
        return new RecordsError(
            "The table “{$table->name}” has rows that belong to no part of this course. Nothing was changed.",
        );
    }
}
