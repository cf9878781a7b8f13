<?php

declare(strict_types=1);

namespace App\Briefs;

use App\Outcomes\OutcomeShortfall;
use InkedMargin\Core\Marking\OutcomeKind;

/** A requirement of a brief that is being written: as a sentence, and what it comes to on the site it is tried on. */
final readonly class RequirementReading
{
    /**
     * @param  list<string>  $problems
     * @param  list<OutcomeShortfall>  $shortfalls
     */
    public function __construct(
        /** null where it cannot be read */
        public ?string $sentence,
        public array $problems,
        public float $points,
        public ?OutcomeKind $outcome,
        public string $measured,
        public string $expected,
        public float $awarded,
        public array $shortfalls,
    ) {
    }
}
