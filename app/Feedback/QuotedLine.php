<?php

declare(strict_types=1);

namespace App\Feedback;

use OpenApi\Attributes as OA;

/** A line of a student's file, in three pieces: what is meant is the middle one. */
#[OA\Schema]
final readonly class QuotedLine
{
    public function __construct(
        #[OA\Property(description: 'from 1')]
        public int $number,
        #[OA\Property(description: 'the whole line where nothing in it is meant')]
        public string $before,
        #[OA\Property]
        public string $meant = '',
        #[OA\Property]
        public string $after = '',
    ) {
    }
}
