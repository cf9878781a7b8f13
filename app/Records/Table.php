<?php

declare(strict_types=1);

namespace App\Records;

/** A table as it is part of the records of a course. */
final readonly class Table
{
    /**
     * @param  string  $rows  SQL that says which rows belong to the course `:course` (and to the student `:student`,
     *     where one is asked for)
     * @param  list<string>  $key  the columns that the rows are put in order by
     * @param  list<string>  $without  columns that are no part of the records
     * @param  string|null  $secret  a column of a password: nobody knows the one that comes in its place
     * @param  list<string>  $hashes  columns that name bytes by their SHA-256
     */
    public function __construct(
        public string $name,
        public string $rows,
        public array $key = ['id'],
        public array $without = [],
        public ?string $secret = null,
        public array $hashes = [],
    ) {
    }
}
