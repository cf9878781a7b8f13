<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Models\CheckRun;

/** How far a check has come. */
final readonly class RunView
{
    /** @param  'waiting'|'queued'|'running'|'finished'|'failed'  $state */
    public function __construct(
        public string $state,
        public int $done,
        public int $steps,
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
