<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** The home screen: what waits, then the courses. */
final readonly class Shelf
{
    /**
     * @param  list<Waiting>  $waiting
     * @param  list<CourseSpine>  $courses
     */
    public function __construct(
        public array $waiting,
        public array $courses,
    ) {
    }
}
