<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** One of the attempts of a student. */
final readonly class AttemptLine
{
    public function __construct(
        public string $id,
        public int $attempt,
        public string $arrivedAt,
    ) {
    }
}
