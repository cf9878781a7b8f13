<?php

declare(strict_types=1);

namespace App\Http\Intake;

/** What came of taking back what was dropped together. */
final readonly class TakenBack
{
    public function __construct(
        /** files that are out of the tray */
        public int $gone,
        /** hand-ins that stay, as somebody has written to them */
        public int $kept,
    ) {
    }
}
