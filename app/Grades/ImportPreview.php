<?php

declare(strict_types=1);

namespace App\Grades;

/** What marks from elsewhere would change. */
final readonly class ImportPreview
{
    /**
     * @param  list<ImportColumn>  $columns
     * @param  list<string>  $nobody  lines of nobody on the roster
     */
    public function __construct(
        /** the file as CSV, to be sent when it is kept */
        public string $text,
        public array $columns,
        public array $nobody,
        /** students that are found in it */
        public int $students,
    ) {
    }
}
