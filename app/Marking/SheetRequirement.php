<?php

declare(strict_types=1);

namespace App\Marking;

/** A column of the class sheet. */
final readonly class SheetRequirement
{
    public function __construct(
        public string $id,
        public string $title,
        public float $possible,
        /** of the whole class, from 0 to 1; null where nobody was judged */
        public ?float $share,
        /** whether nobody is marked on it */
        public bool $leftOut,
        /** whether a person judges it */
        public bool $byEye,
    ) {
    }
}
