<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** Points for one requirement in two attempts, as they were computed. */
final readonly class AttemptPoints
{
    public function __construct(
        public string $title,
        /** null where it was not asked then */
        public ?float $before,
        public float $now,
        public float $possible,
    ) {
    }
}
