<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Support\Facades\Schema;

/** The columns of a table that are records, in an order that does not depend on when they were added. */
final readonly class TableColumns
{
    /** @return list<string> */
    public static function of(Table $table): array
    {
        $columns = array_values(array_diff(Schema::getColumnListing($table->name), $table->without));
        sort($columns);

        return $columns;
    }
}
