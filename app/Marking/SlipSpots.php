<?php

declare(strict_types=1);

namespace App\Marking;

use OpenApi\Attributes as OA;

/** The places of one kind of slip through a class. */
#[OA\Schema]
final readonly class SlipSpots
{
    /** @param  list<SlipSpot>  $spots */
    public function __construct(
        #[OA\Property(description: 'by student', type: 'array', items: new OA\Items(ref: SlipSpot::class))]
        public array $spots,
        #[OA\Property(description: 'so many are left out')]
        public int $more,
    ) {
    }
}
