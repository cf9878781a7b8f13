<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Http\Shared\RunView;
use OpenApi\Attributes as OA;

/** A student's last hand-in, and how much of it is decided. */
#[OA\Schema]
final readonly class HandInLine
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $handle,
        #[OA\Property]
        public int $attempt,
        #[OA\Property]
        public string $arrivedAt,
        #[OA\Property]
        public bool $late,
        #[OA\Property]
        public RunView $run,
        #[OA\Property]
        public int $pencilled,
        #[OA\Property]
        public int $inked,
        #[OA\Property]
        public int $rubbedOut,
        #[OA\Property]
        public int $notes,
        #[OA\Property]
        public ?float $awarded,
        #[OA\Property]
        public ?float $possible,
        #[OA\Property]
        public ?string $repliedAt,
        #[OA\Property]
        public string $studentId,
        #[OA\Property(description: 'points that are not judged yet')]
        public float $open,
    ) {
    }
}
