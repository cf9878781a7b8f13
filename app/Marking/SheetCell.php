<?php

declare(strict_types=1);

namespace App\Marking;

/** How far a student meets a requirement. */
final readonly class SheetCell
{
    public function __construct(
        /** of its points, from 0 to 1; null where it is not judged yet */
        public ?float $share,
        public float $points,
        /** whether the points were given by hand */
        public bool $byHand,
    ) {
    }
}
