<?php

declare(strict_types=1);

namespace App\Records;

use InkedMargin\Core\Intake\EntryName;
use InkedMargin\Core\Intake\Limits;
use InkedMargin\Core\Intake\Refusal;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** Holds rows of records against their schema, and against the bytes that came with them. */
final class RowCheck
{
    private readonly Validator $validator;

    /** @var array<string, string> the schema of a row, as JSON, by table */
    private array $schemas = [];

    /** @param  array<string, int>  $bytes  sizes of the files that came with the records, by SHA-256 */
    public function __construct(private readonly array $bytes)
    {
        $this->validator = new Validator;
        $formats = $this->validator->parser()->getFormatResolver();
        $formats?->registerCallable('string', 'time-zone', fn (string $name) => in_array(
            $name,
            \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC),
            true,
        ));
        $formats?->registerCallable('string', 'site-path', self::isPath(...));
    }

    /**
     * @param  int  $number  of the line, from 1
     *
     * @throws RecordsError that says what is wrong, and where
     */
    public function row(Table $table, string $line, int $number): \stdClass
    {
        $row = json_decode($line);
        if (! $row instanceof \stdClass) {
            throw self::wrong($table, $number, 'is not a JSON object');
        }
        $schema = $this->schemas[$table->name] ??= json_encode(RecordsSchema::of($table), JSON_THROW_ON_ERROR);
        $error = $this->validator->validate($row, $schema)->error();
        if ($error !== null) {
            throw self::wrong($table, $number, self::words($error));
        }
        foreach ($table->hashes as $column) {
            $sha256 = $row->$column ?? null;
            if (is_string($sha256) && ! isset($this->bytes[$sha256])) {
                throw self::wrong($table, $number, "names a file in “{$column}” that is not in the zip");
            }
        }
        $bytes = $row->bytes ?? null;
        if ($bytes !== null && is_string($row->sha256 ?? null) && $bytes !== $this->bytes[$row->sha256]) {
            throw self::wrong($table, $number, 'has another size in “bytes” than its file');
        }

        return $row;
    }

    private static function words(ValidationError $error): string
    {
        while (($first = $error->subErrors()[0] ?? null) !== null) {
            $error = $first;
        }
        $path = implode('.', array_map(
            fn (mixed $step) => is_scalar($step) ? (string) $step : '',
            $error->data()->fullPath(),
        ));

        return $path === ''
            ? 'lacks a column, or has one that is not known'
            : "has a value in “{$path}” that cannot be there";
    }

    private static function wrong(Table $table, int $number, string $words): RecordsError
    {
        return new RecordsError("Line $number of the table “{$table->name}” $words. Nothing was changed.");
    }

    private static function isPath(string $path): bool
    {
        try {
            return EntryName::clean($path, new Limits) !== '';
        } catch (Refusal) {
            return false;
        }
    }
}
