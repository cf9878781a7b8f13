<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A due time in the year 9999 broke sums of minutes, and every screen that shows them. */
return new class extends Migration
{
    private const FIRST = '1999-12-31 00:00:00+00';

    private const LAST = '2101-01-01 23:59:59+00';

    private const COLUMNS = ['assignments' => 'due_at', 'extensions' => 'due_at', 'hand_ins' => 'arrived_at'];

    public function up(): void
    {
        foreach (self::COLUMNS as $table => $column) {
            DB::statement(
                "UPDATE $table SET $column = least(greatest($column, ?::timestamptz), ?::timestamptz) "
                    ."WHERE $column < ?::timestamptz OR $column > ?::timestamptz",
                [self::FIRST, self::LAST, self::FIRST, self::LAST],
            );
            DB::statement("ALTER TABLE $table ADD CONSTRAINT {$table}_{$column}_in_range CHECK ($column BETWEEN '"
                .self::FIRST."' AND '".self::LAST."')");
        }
        DB::statement('ALTER TABLE hand_ins ALTER COLUMN minutes_late TYPE bigint');
    }
};
