<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Models\CheckRun;
use OpenApi\Attributes as OA;

/** How far a check has come. */
#[OA\Schema]
final readonly class RunView
{
    public function __construct(
        #[OA\Property(enum: ['waiting', 'queued', 'running', 'finished', 'failed'])]
        public string $state,
        #[OA\Property]
        public int $done,
        #[OA\Property]
        public int $steps,
        #[OA\Property]
        public ?string $trouble,
    ) {
    }

    /** A hand-in that nothing was asked of yet is waiting for its brief. */
    public static function of(?CheckRun $run): self
    {
        return $run === null
            ? new self('waiting', 0, 0, null)
            : new self($run->state->value, $run->done, $run->steps, $run->trouble);
    }
}
