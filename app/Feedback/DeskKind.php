<?php

declare(strict_types=1);

namespace App\Feedback;

use InkedMargin\Core\Finding\Weight;
use OpenApi\Attributes as OA;

/**
 * What one rule found in a hand-in, with a way to the first place that is still in pencil, or else the first of all.
 */
#[OA\Schema]
final readonly class DeskKind
{
    public function __construct(
        #[OA\Property]
        public string $rule,
        #[OA\Property(enum: Weight::class)]
        public Weight $weight,
        #[OA\Property]
        public int $findings,
        #[OA\Property(description: 'of these are in pencil')]
        public int $pencilled,
        #[OA\Property(description: 'of the first')]
        public string $leaf,
        #[OA\Property]
        public ?int $line,
        #[OA\Property]
        public string $fingerprint,
        #[OA\Property]
        public string $message,
    ) {
    }
}
