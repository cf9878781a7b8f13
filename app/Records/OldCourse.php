<?php

declare(strict_types=1);

namespace App\Records;

/** A course in which nothing has come in for long. */
final readonly class OldCourse
{
    public function __construct(
        public string $id,
        public string $title,
        public string $term,
        /** when the last hand-in came, or the course was made */
        public string $last,
        public int $students,
        public int $handIns,
    ) {
    }
}
