<?php

declare(strict_types=1);

namespace App\Http\Desk;

use OpenApi\Attributes as OA;

/** Points for one requirement in two attempts, as they were computed. */
#[OA\Schema]
final readonly class AttemptPoints
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'null where it was not asked then')]
        public ?float $before,
        #[OA\Property]
        public float $now,
        #[OA\Property]
        public float $possible,
    ) {
    }
}
