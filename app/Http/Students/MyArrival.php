<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Models\Arrival;

/** A site that a student has handed in by its address, and that is not there yet. */
final readonly class MyArrival
{
    private function __construct(
        public string $id,
        public string $address,
        public string $at,
        /** what the last look came to; null before the first */
        public ?string $told,
        /** why it was not taken; null while it is looked for */
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
