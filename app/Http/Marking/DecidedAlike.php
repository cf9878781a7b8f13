<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Feedback\Written;

/** What was decided together, and what takes it back. */
final readonly class DecidedAlike
{
    private function __construct(
        public string $batch,
        public int $findings,
        public int $handIns,
    ) {
    }

    public static function of(Written $written): self
    {
        return new self($written->batch, $written->findings, $written->handIns);
    }
}
