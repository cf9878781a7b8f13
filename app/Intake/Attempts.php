<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Assignment;
use App\Models\Finding;
use App\Models\RunState;
use App\Models\Student;
use App\Models\StudentsSee;

/**
 * What a student handed in so far, each with what was mended since the one before, what still stands and what is new.
 */
final readonly class Attempts
{
    /** @return list<MyAttempt> the newest first */
    public static function of(Student $student, Assignment $assignment, StudentsSee $sees): array
    {
        $handIns = $student->handIns()->where('assignment_id', $assignment->id)->with('run')->withCount('replies')
            ->orderBy('attempt')->get();
        $prints = $sees === StudentsSee::Nothing ? [] : self::fingerprints($handIns->pluck('run.id')->filter()->all());
        $attempts = [];
        $before = null;
        foreach ($handIns as $handIn) {
            $isChecked = $handIn->run?->state === RunState::Finished;
            $found = $isChecked && $sees !== StudentsSee::Nothing ? $prints[$handIn->run->id ?? ''] ?? [] : null;
            $isCompared = $found !== null && $before !== null;
            $attempts[] = new MyAttempt(
                $handIn->id,
                $handIn->attempt,
                $handIn->arrived_at->toIso8601String(),
                $handIn->archive_name,
                $handIn->covering_note,
                $handIn->address,
                $handIn->late,
                $handIn->counts,
                $handIn->replies_count > 0,
                $isChecked,
                $isCompared ? count(array_diff_key($before, $found)) : null,
                $isCompared ? count(array_intersect_key($found, $before)) : null,
                $isCompared ? count(array_diff_key($found, $before)) : null,
            );
            $before = $found;
        }

        return array_reverse($attempts);
    }

    /**
     * @param  array<mixed>  $runs  ids
     * @return array<string, array<string, true>> by run
     */
    private static function fingerprints(array $runs): array
    {
        $prints = [];
        $found = Finding::query()->whereIn('check_run_id', $runs)->toBase();
        foreach ($found->get(['check_run_id', 'fingerprint']) as $row) {
            $prints[(string) $row->check_run_id][(string) $row->fingerprint] = true;
        }

        return $prints;
    }
}
