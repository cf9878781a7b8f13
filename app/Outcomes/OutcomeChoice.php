<?php

declare(strict_types=1);

namespace App\Outcomes;

use App\Models\Outcome;
use OpenApi\Attributes as OA;

/** A step of a scale that a person judges on. */
#[OA\Schema]
final readonly class OutcomeChoice
{
    public function __construct(
        #[OA\Property]
        public string $words,
        #[OA\Property]
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
