<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** A course on the shelf. */
final readonly class CourseSpine
{
    public function __construct(
        public string $id,
        public string $title,
        public string $school,
        public string $term,
        public int $students,
        public int $assignments,
        /** whether its term is over */
        public bool $archived,
    ) {
    }
}
