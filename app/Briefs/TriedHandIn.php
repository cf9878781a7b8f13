<?php

declare(strict_types=1);

namespace App\Briefs;

/** What a brief would change for one student. */
final readonly class TriedHandIn
{
    /** @param  list<OutcomeChange>  $changes */
    public function __construct(
        public string $handInId,
        public string $student,
        public float $awarded,
        public float $possible,
        public float $awardedAfter,
        public float $possibleAfter,
        public array $changes,
    ) {
    }
}
