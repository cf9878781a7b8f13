<?php

declare(strict_types=1);

namespace App\Checks;

use InkedMargin\Core\Marking\OutcomeKind;

/** A requirement and what it came to, for a student. */
final readonly class MyOutcome
{
    public function __construct(
        public string $title,
        public string $sentence,
        public OutcomeKind $outcome,
        /** points so far; null where the assignment shows none before the reply */
        public ?float $awarded,
        public ?float $possible,
    ) {
    }
}
