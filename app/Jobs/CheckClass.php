<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Assignment;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Has every student's last attempt at an assignment checked under the brief in force: a job, so that nobody waits for
 * it.
 */
final class CheckClass implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $uniqueFor = 600;

    public function __construct(public readonly string $assignmentId, public readonly int $version)
    {
        $this->afterCommit();
    }

    public function uniqueId(): string
    {
        return "$this->assignmentId $this->version";
    }

    public function handle(): void
    {
        $assignment = Assignment::query()->with('brief')->find($this->assignmentId);
        $brief = $assignment?->brief;
        if ($assignment === null || $brief === null) {
            return;
        }
        foreach ($assignment->handIns()->newest()->with('student')->get() as $handIn) {
            CheckHandIn::request($handIn, $brief);
        }
    }
}
