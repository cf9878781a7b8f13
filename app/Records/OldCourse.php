<?php

declare(strict_types=1);

namespace App\Records;

use OpenApi\Attributes as OA;

/** A course in which nothing has come in for long. */
#[OA\Schema]
final readonly class OldCourse
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $term,
        #[OA\Property(description: 'when the last hand-in came, or the course was made')]
        public string $last,
        #[OA\Property]
        public int $students,
        #[OA\Property]
        public int $handIns,
    ) {
    }
}
