<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** Something that was done to a course. */
final readonly class ActivityLine
{
    public function __construct(
        public string $at,
        public string $by,
        public string $what,
    ) {
    }
}
