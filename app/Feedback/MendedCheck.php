<?php

declare(strict_types=1);

namespace App\Feedback;

use OpenApi\Attributes as OA;

/** What a check says of a hand-in with one of its files mended. */
#[OA\Schema]
final readonly class MendedCheck
{
    /**
     * @param  list<MendedFinding>  $findings
     * @param  list<string>  $gone
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: MendedFinding::class))]
        public array $findings,
        #[OA\Property(
            description: 'fingerprints of what was found in this file and is not any more',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $gone,
        #[OA\Property(description: 'how many findings of other files go with it')]
        public int $goneElsewhere,
        #[OA\Property(description: 'how many come in other files')]
        public int $freshElsewhere,
        #[OA\Property]
        public float $awarded,
        #[OA\Property]
        public float $possible,
    ) {
    }
}
