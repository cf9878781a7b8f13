<?php

declare(strict_types=1);

namespace App\Checks;

use InkedMargin\Core\Marking\OutcomeKind;
use OpenApi\Attributes as OA;

/** A requirement and what it came to, for a student. */
#[OA\Schema]
final readonly class MyOutcome
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $sentence,
        #[OA\Property(enum: OutcomeKind::class)]
        public OutcomeKind $outcome,
        #[OA\Property(description: 'points so far; null where the assignment shows none before the reply')]
        public ?float $awarded,
        #[OA\Property]
        public ?float $possible,
    ) {
    }
}
