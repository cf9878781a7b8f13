<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Models\MendedStep;

/** A mended copy as it was kept once. */
final readonly class MendedStepLine
{
    public function __construct(
        public int $number,
        public string $words,
        public string $by,
        public string $at,
    ) {
    }

    public static function of(MendedStep $step): self
    {
        return new self($step->number, $step->words, $step->user->name, $step->created_at->toIso8601String());
    }
}
