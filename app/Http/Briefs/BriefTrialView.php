<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use App\Briefs\TriedHandIn;
use OpenApi\Attributes as OA;

/** What a brief would change, before it is kept. */
#[OA\Schema]
final readonly class BriefTrialView
{
    /** @param  list<TriedHandIn>  $handIns */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: TriedHandIn::class))]
        public array $handIns,
        #[OA\Property(description: 'hand-ins that there was no time for')]
        public int $left,
    ) {
    }
}
