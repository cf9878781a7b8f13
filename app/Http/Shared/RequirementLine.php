<?php

declare(strict_types=1);

namespace App\Http\Shared;

use OpenApi\Attributes as OA;

/** A requirement as a sentence. */
#[OA\Schema]
final readonly class RequirementLine
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public float $points,
    ) {
    }
}
