<?php

declare(strict_types=1);

namespace App\Replies;

use OpenApi\Attributes as OA;

/** One thing in which a reply differs from the one that it supersedes. */
#[OA\Schema]
final readonly class ReplyChange
{
    public function __construct(
        #[OA\Property(enum: ['added', 'taken out', 'points'])]
        public string $kind,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $text,
    ) {
    }
}
