<?php

declare(strict_types=1);

namespace App\Marking;

use OpenApi\Attributes as OA;

/** Where a slip is in one hand-in: the first place of it. */
#[OA\Schema]
final readonly class SlipPlace
{
    public function __construct(
        #[OA\Property]
        public string $handInId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public int $findings,
        #[OA\Property(description: 'of these are in pencil')]
        public int $pencilled,
        #[OA\Property]
        public string $leaf,
        #[OA\Property]
        public ?int $line,
        #[OA\Property]
        public string $fingerprint,
    ) {
    }
}
