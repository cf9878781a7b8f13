<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Http\Shared\RunView;

/** A student's last hand-in, and how much of it is decided. */
final readonly class HandInLine
{
    public function __construct(
        public string $id,
        public string $student,
        public string $handle,
        public int $attempt,
        public string $arrivedAt,
        public bool $late,
        public RunView $run,
        public int $pencilled,
        public int $inked,
        public int $rubbedOut,
        public int $notes,
        public ?float $awarded,
        public ?float $possible,
        public ?string $repliedAt,
        public string $studentId,
        /** points that are not judged yet */
        public float $open,
    ) {
    }
}
