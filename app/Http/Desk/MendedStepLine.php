<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Models\MendedStep;
use OpenApi\Attributes as OA;

/** A mended copy as it was kept once. */
#[OA\Schema]
final readonly class MendedStepLine
{
    public function __construct(
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $at,
    ) {
    }

    public static function of(MendedStep $step): self
    {
        return new self($step->number, $step->words, $step->user->name, $step->created_at->toIso8601String());
    }
}
