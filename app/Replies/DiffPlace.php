<?php

declare(strict_types=1);

namespace App\Replies;

use OpenApi\Attributes as OA;

/** A place where two texts differ, with a few lines around it. */
#[OA\Schema]
final readonly class DiffPlace
{
    /** @param  list<DiffLine>  $lines */
    public function __construct(
        #[OA\Property(description: 'the number of its first line in the first text')]
        public int $line,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DiffLine::class))]
        public array $lines,
    ) {
    }
}
