<?php

declare(strict_types=1);

namespace App\Briefs;

use OpenApi\Attributes as OA;

/** A site that a brief can be tried on. */
#[OA\Schema]
final readonly class TrialSite
{
    public function __construct(
        #[OA\Property]
        public string $key,
        #[OA\Property]
        public string $name,
    ) {
    }
}
