<?php

declare(strict_types=1);

namespace App\Http\Desk;

use OpenApi\Attributes as OA;

/** What a hand-in had before it was checked again. */
#[OA\Schema]
final readonly class EarlierScore
{
    public function __construct(
        #[OA\Property]
        public float $awarded,
        #[OA\Property]
        public float $possible,
    ) {
    }
}
