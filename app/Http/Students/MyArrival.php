<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Models\Arrival;
use OpenApi\Attributes as OA;

/** A site that a student has handed in by its address, and that is not there yet. */
#[OA\Schema]
final readonly class MyArrival
{
    private function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $address,
        #[OA\Property]
        public string $at,
        #[OA\Property(description: 'what the last look came to; null before the first')]
        public ?string $told,
        #[OA\Property(description: 'why it was not taken; null while it is looked for')]
        public ?string $refused,
    ) {
    }

    public static function of(Arrival $arrival): self
    {
        return new self(
            $arrival->id,
            (string) $arrival->address,
            $arrival->arrived_at->toIso8601String(),
            $arrival->told,
            $arrival->reason,
        );
    }
}
