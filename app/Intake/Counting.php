<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Assignment;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Brief\BriefError;

/** Which attempt of each student counts: the one that was chosen by hand, else the last in time, else the last. */
final readonly class Counting
{
    private const PLACES = <<<'SQL'
        with placed as (
            select h.id,
                coalesce(h.arrived_at > a.due_at + make_interval(mins => ?), false) as late,
                row_number() over (
                    partition by h.student_id
                    order by h.chosen desc, coalesce(h.arrived_at > a.due_at + make_interval(mins => ?), false), h.attempt desc
                ) = 1 as counts
            from hand_ins h join assignments a on a.id = h.assignment_id
            where h.assignment_id = ? and (?::uuid is null or h.student_id = ?::uuid)
        )
        SQL;

    /**
     * Settles it anew, after a hand-in, a choice, or another due time or grace.
     *
     * @param  string|null  $studentId  null for all students
     */
    public static function settle(Assignment $assignment, ?string $studentId = null): void
    {
        $grace = self::grace($assignment);
        $values = [$grace, $grace, $assignment->id, $studentId, $studentId];
        DB::transaction(function () use ($values): void {
            // First those that count no more: at no moment do two attempts of one student count.
            DB::update(self::PLACES.' update hand_ins set late = placed.late, counts = false, waits = false from placed '
                .'where placed.id = hand_ins.id and not placed.counts', $values);
            DB::update(self::PLACES.' update hand_ins set late = placed.late, counts = true, waits = not exists ('
                .'select 1 from replies where replies.hand_in_id = hand_ins.id) from placed '
                .'where placed.id = hand_ins.id and placed.counts', $values);
        });
    }

    /** Minutes after the due time that are not late, as the brief in force says. */
    public static function grace(Assignment $assignment): int
    {
        try {
            return $assignment->brief()->first()?->read()->scheme->grace ?? 0;
        } catch (BriefError) {
            return 0;
        }
    }
}
