<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** What a course is called, for whoever comes by its link. */
#[OA\Schema]
final readonly class CourseDoor
{
    public function __construct(
        #[OA\Property]
        public string $course,
        #[OA\Property(description: 'whether students enter a word besides their handle')]
        public bool $asksForWord,
    ) {
    }
}
