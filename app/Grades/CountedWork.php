<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** A piece of work in the sum of its part. */
#[OA\Schema]
final readonly class CountedWork
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?float $percent,
        #[OA\Property]
        public float $weight,
        #[OA\Property(description: "why it does not count; '' where it does")]
        public string $why,
    ) {
    }
}
