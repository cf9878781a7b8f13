<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Shortfall;

/** A requirement on one site: what it came to, in words and points, and the findings that show it. */
final readonly class Outcome
{
    /**
     * @param  list<string>  $findings  fingerprints of those that show it
     * @param  list<Shortfall>  $shortfalls  what it was lost by
     */
    public function __construct(
        public Requirement $requirement,
        public OutcomeKind $kind,
        public string $measured,
        public string $expected,
        public Points $points,
        public array $findings,
        public array $shortfalls = [],
    ) {
    }

    /** As it goes into the sum. */
    public function earned(): Earned
    {
        return Earned::worked(
            $this->requirement->terms->id,
            $this->requirement->terms->title,
            $this->kind,
            $this->points->awarded,
            $this->points->possible,
            $this->points->how,
        );
    }
}
