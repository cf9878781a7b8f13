<?php

declare(strict_types=1);

namespace App\Grades\Term;

use OpenApi\Attributes as OA;

/** Somebody whose term can be looked at. */
#[OA\Schema]
final readonly class TermStudent
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
    ) {
    }
}
