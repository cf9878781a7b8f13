<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use App\Briefs\TriedHandIn;

/** What a brief would change, before it is kept. */
final readonly class BriefTrialView
{
    /** @param  list<TriedHandIn>  $handIns */
    public function __construct(
        public array $handIns,
        /** hand-ins that there was no time for */
        public int $left,
    ) {
    }
}
