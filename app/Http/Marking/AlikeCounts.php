<?php

declare(strict_types=1);

namespace App\Http\Marking;

use OpenApi\Attributes as OA;

/** How far a decision on all findings of a kind would go. */
#[OA\Schema]
final readonly class AlikeCounts
{
    public function __construct(
        #[OA\Property]
        public AlikeCount $page,
        #[OA\Property]
        public AlikeCount $site,
        #[OA\Property]
        public AlikeCount $class,
    ) {
    }
}
