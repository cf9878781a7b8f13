<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Outcomes\OutcomeChoice;
use App\Outcomes\OutcomeShortfall;
use InkedMargin\Core\Marking\OutcomeKind;

/** A requirement, what it came to, and its points. */
final readonly class DeskOutcome
{
    /**
     * @param  list<OutcomeShortfall>  $shortfalls
     * @param  list<OutcomeChoice>  $choices  what a person may say of it, from the worst to the best
     */
    public function __construct(
        public string $requirement,
        public string $title,
        public OutcomeKind $outcome,
        public string $measured,
        public string $expected,
        public float $computed,
        public float $awarded,
        public float $possible,
        /** how they came about */
        public string $how,
        public ?string $reason,
        public array $shortfalls,
        public array $choices,
        /** whether nobody of the class is marked on it */
        public bool $leftOut,
        /** whether the points by hand were given before a reason was rubbed out */
        public bool $givenBefore,
    ) {
    }
}
