<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** Something that was done to a course. */
final readonly class DeedLine
{
    public function __construct(
        public string $at,
        public string $by,
        public string $what,
    ) {
    }
}
