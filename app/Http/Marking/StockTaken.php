<?php

declare(strict_types=1);

namespace App\Http\Marking;

/** What came of a file of stock remarks. */
final readonly class StockTaken
{
    public function __construct(
        public int $added,
        /** that were there already */
        public int $known,
    ) {
    }
}
