<?php

declare(strict_types=1);

namespace App\Outcomes;

use OpenApi\Attributes as OA;

/** One place that shows why a requirement was not met in full. */
#[OA\Schema]
final readonly class OutcomeShortfall
{
    public function __construct(
        #[OA\Property]
        public string $file,
        #[OA\Property]
        public ?int $line,
        #[OA\Property]
        public string $message,
        #[OA\Property(description: 'points; 0 where it costs nothing')]
        public float $cost = 0.0,
        #[OA\Property(description: 'the finding that shows it')]
        public ?string $finding = null,
        #[OA\Property(description: 'the title of the requirement where the same slip costs points')]
        public ?string $follows = null,
        #[OA\Property(enum: ['pencilled', 'inked', 'rubbed-out'])]
        public string $state = 'pencilled',
    ) {
    }
}
