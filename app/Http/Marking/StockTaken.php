<?php

declare(strict_types=1);

namespace App\Http\Marking;

use OpenApi\Attributes as OA;

/** What came of a file of stock remarks. */
#[OA\Schema]
final readonly class StockTaken
{
    public function __construct(
        #[OA\Property]
        public int $added,
        #[OA\Property(description: 'that were there already')]
        public int $known,
    ) {
    }
}
