<?php

declare(strict_types=1);

namespace App\Marking;

/** The places of one kind of slip through a class. */
final readonly class SlipSpots
{
    /** @param  list<SlipSpot>  $spots */
    public function __construct(
        public array $spots,
        /** so many are left out */
        public int $more,
    ) {
    }
}
