<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** A step of a scale that a person judges on. */
#[OA\Schema]
final readonly class OutcomeChoice
{
    public function __construct(
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public float $points,
    ) {
    }
}
