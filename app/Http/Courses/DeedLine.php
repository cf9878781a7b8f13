<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** Something that was done to a course. */
#[OA\Schema]
final readonly class DeedLine
{
    public function __construct(
        #[OA\Property]
        public string $at,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $what,
    ) {
    }
}
