<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** An assignment in the list of a course. */
#[OA\Schema]
final readonly class AssignmentLine
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $summary,
        #[OA\Property]
        public ?string $dueAt,
        #[OA\Property]
        public int $students,
        #[OA\Property]
        public int $handedIn,
        #[OA\Property]
        public int $replied,
        #[OA\Property]
        public int $unmatched,
        #[OA\Property]
        public bool $hasBrief,
        #[OA\Property(description: 'whether nothing is taken in any more')]
        public bool $closed,
    ) {
    }
}
