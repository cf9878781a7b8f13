<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use OpenApi\Attributes as OA;

/** How far the check of a whole class has come. */
#[OA\Schema]
final readonly class Checking
{
    public function __construct(
        #[OA\Property]
        public int $done,
        #[OA\Property(description: 'none while the worker has not counted them yet')]
        public int $steps,
    ) {
    }
}
