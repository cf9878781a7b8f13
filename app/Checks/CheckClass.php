<?php

declare(strict_types=1);

namespace App\Checks;

use App\Models\Assignment;
use App\Models\HandIn;
use App\Sites\ClassShape;
use Illuminate\Bus\Batchable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Bus;

/**
 * Has every student's counting attempt at an assignment checked under the brief in force: a batch, so that nobody waits
 * for it and everybody sees how far it is. It begins with this job, which adds a check for each.
 */
final class CheckClass implements ShouldQueue
{
    use Batchable;
    use Queueable;

    public int $tries = 3;

    public function __construct(public readonly string $assignmentId)
    {
    }

    public static function request(Assignment $assignment): void
    {
        $batch = Bus::batch([new self($assignment->id)])->name("the class of $assignment->id")
            ->allowFailures()->dispatch();
        $assignment->update(['batch_id' => $batch->id]);
    }

    public function handle(): void
    {
        $assignment = Assignment::query()->with('brief')->find($this->assignmentId);
        $brief = $assignment?->brief;
        if ($assignment === null || $brief === null) {
            return;
        }
        $class = ClassShape::of($assignment->id);
        $checks = $assignment->handIns()->counting()->with('student')->get()
            ->map(fn (HandIn $handIn) => CheckHandIn::of($handIn, $brief, $class));
        $this->batch()?->add($checks->filter());
    }
}
