<?php

declare(strict_types=1);

namespace App\Console;

use App\Records\RecordsSchema;
use Illuminate\Console\Command;

/** Writes docs/records.schema.json from the database and the enumerations. */
final class WriteRecordsSchema extends Command
{
    protected $signature = 'records:schema';

    protected $description = 'Write the JSON Schema of the records of a course to docs/records.schema.json';

    public function handle(): int
    {
        file_put_contents(base_path('docs/records.schema.json'), self::describe());

        return self::SUCCESS;
    }

    public static function describe(): string
    {
        return json_encode(
            RecordsSchema::all(),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
    }
}
