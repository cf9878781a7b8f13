<?php

declare(strict_types=1);

namespace App\Http\Shared;

/** A requirement as a sentence. */
final readonly class RequirementLine
{
    public function __construct(
        public string $id,
        public string $kind,
        public string $title,
        public string $sentence,
        public float $points,
    ) {
    }
}
