<?php

declare(strict_types=1);

namespace App\Http\Desk;

use OpenApi\Attributes as OA;

/** One of the attempts of a student. */
#[OA\Schema]
final readonly class AttemptLine
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $attempt,
        #[OA\Property]
        public string $arrivedAt,
    ) {
    }
}
