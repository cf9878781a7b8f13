<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** A course on the shelf. */
#[OA\Schema]
final readonly class CourseSpine
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $school,
        #[OA\Property]
        public string $term,
        #[OA\Property]
        public int $students,
        #[OA\Property]
        public int $assignments,
        #[OA\Property(description: 'whether its term is over')]
        public bool $putAway,
    ) {
    }
}
