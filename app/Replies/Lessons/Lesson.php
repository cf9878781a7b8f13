<?php

declare(strict_types=1);

namespace App\Replies\Lessons;

/** Slips of a class that are gone through together: a handout with a page for each. */
final readonly class Lesson
{
    /** @param  list<LessonPage>  $pages */
    public function __construct(
        public string $course,
        public string $assignment,
        public array $pages,
    ) {
    }
}
