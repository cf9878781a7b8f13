<?php

declare(strict_types=1);

namespace App\Grades;

use App\Models\CheckRun;
use App\Outcomes\Scores;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Brief\Scheme;
use InkedMargin\Core\Marking\Earned;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Marking\Score;

/**
 * The points of every hand-in of a course that counts. Thousands of them: what nobody changed by hand is summed by the
 * database.
 */
final readonly class CoursePoints
{
    private const SUMS = <<<'SQL'
        select o.check_run_id,
            sum(o.awarded) filter (where m.id is null and o.outcome <> ?) as awarded,
            sum(o.possible) filter (where m.id is null and o.outcome <> ?) as judged,
            sum(o.possible) filter (where m.id is null and o.outcome = ?) as open,
            json_agg(json_build_object(
                'requirement', o.requirement, 'points', m.points, 'possible', o.possible
            )) filter (where m.id is not null) as by_hand
        from outcomes o
        join check_runs r on r.id = o.check_run_id
        join hand_ins h on h.id = r.hand_in_id
        join assignments a on a.id = h.assignment_id
        left join marks m on m.hand_in_id = r.hand_in_id and m.requirement = o.requirement
        where o.check_run_id = any(?)
            and not a.left_out @> jsonb_build_array(jsonb_build_object('requirement', o.requirement))
        group by 1
        SQL;

    /** @return list<StandingHandIn> */
    public static function of(string $course): array
    {
        $isNewest = CheckRun::isNewest('r');
        /**
         * @var list<object{id: string, student_id: string, assignment_id: string, late: bool, put_by: string|null,
         *     minutes_late: int, run: string|null, scheme: string, replied: bool}> $handIns
         */
        $handIns = DB::select(
            <<<SQL
                select h.id, h.student_id, h.assignment_id, h.late, h.put_by, r.id as run,
                    coalesce(r.scheme, '{}') as scheme,
                    h.minutes_late,
                    exists (select 1 from replies where replies.hand_in_id = h.id) as replied
                from hand_ins h
                join assignments a on a.id = h.assignment_id
                left join check_runs r on r.hand_in_id = h.id and $isNewest
                where a.course_id = ? and h.counts
                SQL,
            [$course],
        );
        // Few schemes for many hand-ins: each is read once.
        $written = array_unique(array_column($handIns, 'scheme'));
        $read = array_combine($written, array_map(self::scheme(...), $written));
        $schemes = array_map(fn (object $handIn) => $read[$handIn->scheme], $handIns);
        $runs = array_filter(array_column($handIns, 'run'));
        $costly = array_filter(
            $handIns,
            fn (object $one, int $at) => $one->run !== null && $schemes[$at]->off !== [],
            ARRAY_FILTER_USE_BOTH,
        );
        $open = OutcomeKind::NotJudged->value;
        $rows = DB::select(self::SUMS, [$open, $open, $open, '{'.implode(',', $runs).'}']);
        $sums = array_column($rows, null, 'check_run_id');
        $costing = Scores::costing(array_values(array_filter(array_column($costly, 'run'))));

        return array_map(function (object $handIn, Scheme $scheme) use ($sums, $costing): StandingHandIn {
            $sum = $sums[$handIn->run ?? ''] ?? null;

            return new StandingHandIn(
                $handIn->id,
                $handIn->student_id,
                $handIn->assignment_id,
                $handIn->late,
                $handIn->put_by !== null,
                $handIn->replied,
                $sum === null ? null : Score::of(
                    self::earned($sum),
                    $scheme,
                    $costing[$handIn->run ?? ''] ?? [],
                    $handIn->minutes_late,
                ),
            );
        }, $handIns, $schemes);
    }

    /** @return list<Earned> what nobody changed as one, and what was given by hand */
    private static function earned(object $sum): array
    {
        /** @var object{awarded: string|null, judged: string|null, open: string|null, by_hand: string|null} $sum */
        $rest = $sum->awarded === null ? [] : [new Earned('', '', (float) $sum->awarded, (float) $sum->judged, '')];
        if ($sum->open !== null) {
            $rest[] = new Earned('', '', null, (float) $sum->open, '');
        }
        /** @var list<array{requirement: string, points: float, possible: float}> $byHand */
        $byHand = $sum->by_hand === null ? [] : json_decode($sum->by_hand, true);

        return [...$rest, ...array_map(
            fn (array $one) => (new Earned($one['requirement'], '', null, (float) $one['possible'], ''))->byHand(
                (float) $one['points'],
                null,
            ),
            $byHand,
        )];
    }

    private static function scheme(string $written): Scheme
    {
        /** @var array<string, mixed>|null $scheme */
        $scheme = json_decode($written, true);

        return Scheme::of($scheme ?? []);
    }
}
