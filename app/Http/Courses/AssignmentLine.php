<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** An assignment in the list of a course. */
final readonly class AssignmentLine
{
    public function __construct(
        public string $id,
        public string $title,
        public string $summary,
        public ?string $dueAt,
        public int $students,
        public int $handedIn,
        public int $replied,
        public int $unmatched,
        public bool $hasBrief,
        /** whether nothing is taken in any more */
        public bool $closed,
    ) {
    }
}
