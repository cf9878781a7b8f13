<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** What one assignment waits for. */
#[OA\Schema]
final readonly class Waiting
{
    public function __construct(
        #[OA\Property]
        public string $assignmentId,
        #[OA\Property]
        public string $assignment,
        #[OA\Property]
        public string $course,
        #[OA\Property]
        public int $toRead,
        #[OA\Property]
        public int $unmatched,
        #[OA\Property]
        public bool $withoutDueTime,
        #[OA\Property]
        public ?string $dueAt,
    ) {
    }
}
