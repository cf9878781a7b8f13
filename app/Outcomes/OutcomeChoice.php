<?php

declare(strict_types=1);

namespace App\Outcomes;

use App\Models\Outcome;

/** A step of a scale that a person judges on. */
final readonly class OutcomeChoice
{
    public function __construct(
        public string $words,
        public float $points,
    ) {
    }

    /** @return list<self> the scale that a requirement is judged on */
    public static function of(Outcome $outcome): array
    {
        return array_values(array_map(
            fn (array $one) => new self($one['words'], (float) $one['points']),
            $outcome->choices,
        ));
    }
}
