<?php

declare(strict_types=1);

namespace App\Marking;

use OpenApi\Attributes as OA;

/** A column of the class sheet. */
#[OA\Schema]
final readonly class SheetRequirement
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public float $possible,
        #[OA\Property(description: 'of the whole class, from 0 to 1; null where nobody was judged')]
        public ?float $share,
        #[OA\Property(description: 'whether nobody is marked on it')]
        public bool $leftOut,
        #[OA\Property(description: 'whether a person judges it')]
        public bool $byEye,
    ) {
    }
}
