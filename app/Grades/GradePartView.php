<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** A part of a course's grade. */
#[OA\Schema]
final readonly class GradePartView
{
    public function __construct(
        #[OA\Property(description: "'' for the one part of a course that has none of its own")]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'among the parts')]
        public float $weight,
        #[OA\Property(description: 'how many of the best pieces count; null for all of them')]
        public ?int $best,
    ) {
    }
}
