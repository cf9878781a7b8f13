<?php

declare(strict_types=1);

namespace App\Briefs;

use OpenApi\Attributes as OA;

/** A requirement that would come to something else under another brief. */
#[OA\Schema]
final readonly class OutcomeChange
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'null where it is not asked now')]
        public ?string $before,
        #[OA\Property(description: 'null where it would not be asked any more')]
        public ?string $after,
    ) {
    }
}
