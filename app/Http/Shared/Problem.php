<?php

declare(strict_types=1);

namespace App\Http\Shared;

use OpenApi\Attributes as OA;

/** What went wrong, in words. */
#[OA\Schema]
final readonly class Problem
{
    public function __construct(
        #[OA\Property]
        public string $message,
    ) {
    }
}
