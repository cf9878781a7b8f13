<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** What a hand-in had before it was checked again. */
final readonly class EarlierScore
{
    public function __construct(
        public float $awarded,
        public float $possible,
    ) {
    }
}
