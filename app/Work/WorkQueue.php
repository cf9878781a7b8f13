<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\CheckRun;
use App\Models\RunState;
use Illuminate\Support\Facades\Queue;

/**
 * The queues, in the order in which the workers of each group see to them. docs/running.md has the groups and the
 * commands that start their workers.
 */
enum WorkQueue: string
{
    /** Hand-ins, letters and PDF files. */
    case Usual = 'default';
    /** A student's second check while their first one waits. */
    case Second = 'second';
    /** All further checks of a student. */
    case Later = 'later';
    /** Sites that students try before they hand them in. */
    case Tries = 'tries';
    /** Published sites. */
    case Fetches = 'fetches';
    /** Published sites that were too slow the first time. */
    case SlowFetches = 'slow-fetches';
    /** Records of courses. */
    case Records = 'records';

    /** Each student has one check in front: whoever hands in ten times waits for others, not they for them. */
    public static function ofCheck(string $studentId, string $runId): self
    {
        $waiting = CheckRun::query()->whereIn('state', [RunState::Queued, RunState::Running])->whereKeyNot($runId)
            ->whereRelation('handIn', 'student_id', $studentId)->count();

        return match ($waiting) {
            0 => self::Usual,
            1 => self::Second,
            default => self::Later,
        };
    }

    /** How many jobs wait in all of them. */
    public static function waiting(): int
    {
        return array_sum(array_map(fn (self $queue) => Queue::size($queue->value), self::cases()));
    }
}
