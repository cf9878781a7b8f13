<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** What one assignment waits for. */
final readonly class Waiting
{
    public function __construct(
        public string $assignmentId,
        public string $assignment,
        public string $course,
        public int $toRead,
        public int $unmatched,
        public bool $withoutDueTime,
        public ?string $dueAt,
    ) {
    }
}
