<?php

declare(strict_types=1);

namespace App\Briefs;

use OpenApi\Attributes as OA;

/** What a brief would change for one student. */
#[OA\Schema]
final readonly class TriedHandIn
{
    /** @param  list<OutcomeChange>  $changes */
    public function __construct(
        #[OA\Property]
        public string $handInId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public float $awarded,
        #[OA\Property]
        public float $possible,
        #[OA\Property]
        public float $awardedAfter,
        #[OA\Property]
        public float $possibleAfter,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OutcomeChange::class))]
        public array $changes,
    ) {
    }
}
