<?php

declare(strict_types=1);

namespace App\Sites;

use App\Models\Assignment;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Brief\Requirement\BriefError;

/** Which attempt of each student counts: the one that was chosen by hand, else the last in time, else the last. */
final readonly class CountedAttempt
{
    /** A student's own extension counts before that of a group. */
    private const PLACES = <<<'SQL'
        with due as (
            select h.id, h.student_id, h.chosen, h.attempt, h.arrived_at,
                coalesce(own.due_at, shared.due_at, a.due_at) as due_at,
                coalesce(own.waived, shared.waived, false) as waived
            from hand_ins h
            join assignments a on a.id = h.assignment_id
            join students s on s.id = h.student_id
            left join extensions own on own.assignment_id = a.id and own.student_id = s.id
            left join extensions shared on shared.assignment_id = a.id
                and shared."group" = s."group" and s."group" <> ''
            where h.assignment_id = ? and (?::uuid is null or h.student_id = ?::uuid)
        ), timed as (
            select due.*,
                not waived and coalesce(arrived_at > due_at + make_interval(mins => ?), false) as late,
                case when waived or due_at is null then 0
                    else greatest(0, ceil(extract(epoch from arrived_at - due_at) / 60))::bigint end as minutes_late
            from due
        ), placed as (
            select timed.*,
                row_number() over (partition by student_id order by chosen desc, late, attempt desc) = 1 as counts
            from timed
        )
        SQL;

    private const TIMES = ' update hand_ins set late = placed.late, minutes_late = placed.minutes_late';

    /**
     * Settles it anew, after a hand-in, a choice, an extension, or another due time or grace.
     *
     * @param  string|null  $studentId  null for all students
     */
    public static function settle(Assignment $assignment, ?string $studentId = null): void
    {
        $grace = self::grace($assignment);
        $values = [$assignment->id, $studentId, $studentId, $grace];
        DB::transaction(function () use ($values): void {
            // First those that count no more: at no moment do two attempts of one student count.
            DB::update(self::PLACES.self::TIMES.', counts = false, waits = false from placed '
                .'where placed.id = hand_ins.id and not placed.counts', $values);
            DB::update(self::PLACES.self::TIMES.', counts = true, waits = not exists ('
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
