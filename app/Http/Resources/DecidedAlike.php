<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** What was decided together, and what takes it back. */
#[OA\Schema]
final readonly class DecidedAlike
{
    public function __construct(
        #[OA\Property]
        public string $batch,
        #[OA\Property]
        public int $findings,
        #[OA\Property]
        public int $handIns,
    ) {
    }
}
