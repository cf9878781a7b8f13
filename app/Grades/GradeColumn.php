<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** A piece of work in a gradebook. */
#[OA\Schema]
final readonly class GradeColumn
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'false for marks that were carried over from elsewhere')]
        public bool $isAssignment,
        #[OA\Property(description: 'points; null where no brief says so')]
        public ?float $possible,
        #[OA\Property(description: 'the id of its part; null for the first one')]
        public ?string $part,
        #[OA\Property(description: 'among the pieces of its part')]
        public float $weight,
        #[OA\Property(description: 'whether what did not come is missing')]
        public bool $isOver,
        #[OA\Property(description: 'whether it has a due time')]
        public bool $isDated,
    ) {
    }
}
