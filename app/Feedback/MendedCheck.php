<?php

declare(strict_types=1);

namespace App\Feedback;

/** What a check says of a hand-in with one of its files mended. */
final readonly class MendedCheck
{
    /**
     * @param  list<MendedFinding>  $findings
     * @param  list<string>  $gone  fingerprints of what was found in this file and is not any more
     */
    public function __construct(
        public array $findings,
        public array $gone,
        /** how many findings of other files go with it */
        public int $goneElsewhere,
        /** how many come in other files */
        public int $freshElsewhere,
        public float $awarded,
        public float $possible,
    ) {
    }
}
