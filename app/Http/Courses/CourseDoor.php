<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** What a course is called, for whoever comes by its link. */
final readonly class CourseDoor
{
    public function __construct(
        public string $course,
        /** whether students enter a word besides their handle */
        public bool $asksForWord,
    ) {
    }
}
