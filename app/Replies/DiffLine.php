<?php

declare(strict_types=1);

namespace App\Replies;

use OpenApi\Attributes as OA;

/** A line of two texts that are held side by side. */
#[OA\Schema]
final readonly class DiffLine
{
    public function __construct(
        #[OA\Property]
        public string $text,
        #[OA\Property(enum: ['same', 'added', 'removed'])]
        public string $step,
        #[OA\Property(description: 'in the first text, from 1; of an added line, that of the one that follows')]
        public int $number,
    ) {
    }
}
