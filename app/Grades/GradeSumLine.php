<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** A line of a sum of points. */
#[OA\Schema]
final readonly class GradeSumLine
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'below zero where they are taken off')]
        public float $points,
        #[OA\Property(description: 'null where none can be had')]
        public ?float $possible,
        #[OA\Property(description: 'how it came about')]
        public string $how,
    ) {
    }
}
