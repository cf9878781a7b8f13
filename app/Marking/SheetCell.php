<?php

declare(strict_types=1);

namespace App\Marking;

use OpenApi\Attributes as OA;

/** How far a student meets a requirement. */
#[OA\Schema]
final readonly class SheetCell
{
    public function __construct(
        #[OA\Property(description: 'of its points, from 0 to 1; null where it is not judged yet')]
        public ?float $share,
        #[OA\Property]
        public float $points,
        #[OA\Property(description: 'whether the points were given by hand')]
        public bool $byHand,
    ) {
    }
}
