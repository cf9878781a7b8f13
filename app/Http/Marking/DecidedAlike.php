<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Feedback\Written;
use OpenApi\Attributes as OA;

/** What was decided together, and what takes it back. */
#[OA\Schema]
final readonly class DecidedAlike
{
    private function __construct(
        #[OA\Property]
        public string $batch,
        #[OA\Property]
        public int $findings,
        #[OA\Property]
        public int $handIns,
    ) {
    }

    public static function of(Written $written): self
    {
        return new self($written->batch, $written->findings, $written->handIns);
    }
}
