<?php

declare(strict_types=1);

namespace App\Outcomes;

use App\Models\HandIn;
use App\Models\Outcome;
use App\Models\Remark;
use App\Models\RemarkKind;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Brief\Scheme;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\Earned;
use InkedMargin\Core\Marking\Outcome as CoreOutcome;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Marking\Score;

/**
 * The points of hand-ins: what was worked out, what was given by hand, what findings cost, and what being late does.
 */
final readonly class Scores
{
    private const COSTING = <<<'SQL'
        select finding.check_run_id, finding.weight, count(*) as findings
        from findings finding
        join check_runs run on run.id = finding.check_run_id
        where finding.check_run_id = any(?) and finding.free and not exists (
            select 1 from remarks remark where remark.hand_in_id = run.hand_in_id
            and remark.fingerprint = finding.fingerprint and remark.kind = ?
        )
        group by 1, 2
        SQL;

    /** @param  HandIn  $handIn  with its assignment, outcomes and marks */
    public static function one(HandIn $handIn): Score
    {
        return self::of(new Collection([$handIn]))[$handIn->id];
    }

    /**
     * Asks the database once at most, whatever the number.
     *
     * @param  Collection<int, HandIn>  $handIns  with their assignments, outcomes and marks
     * @return array<string, Score> by hand-in
     */
    public static function of(Collection $handIns): array
    {
        return self::from($handIns, $handIns->mapWithKeys(fn (HandIn $one) => [$one->id => self::earned($one)])->all());
    }

    /**
     * As `of`, where what the requirements bring is known already.
     *
     * @param  Collection<int, HandIn>  $handIns  with their assignments and runs
     * @param  array<string, list<Earned>>  $earned  by hand-in
     * @return array<string, Score> by hand-in
     */
    public static function from(Collection $handIns, array $earned): array
    {
        $schemes = [];
        foreach ($handIns as $handIn) {
            $schemes[$handIn->id] = Scheme::of($handIn->run->scheme ?? []);
        }
        $costly = $handIns->filter(fn (HandIn $one) => $schemes[$one->id]->off !== []);
        $found = self::costing(array_values($costly->map(fn (HandIn $one) => $one->run?->id)->filter()->all()));
        $scores = [];
        foreach ($handIns as $handIn) {
            $scores[$handIn->id] = Score::of(
                $earned[$handIn->id],
                $schemes[$handIn->id],
                $found[$handIn->run->id ?? ''] ?? [],
                $handIn->minutes_late,
            );
        }

        return $scores;
    }

    /** What a hand-in would come to with another report: marks given by hand stay, where their requirement does. */
    public static function under(HandIn $handIn, Scheme $scheme, CheckReport $report): Score
    {
        $remarks = $handIn->remarks()->where('kind', RemarkKind::RubbedOut)->whereNotNull('fingerprint')->get();
        $rubbed = array_values($remarks->map(fn (Remark $one) => (string) $one->fingerprint)->all());
        $costing = array_filter(
            $report->free(),
            fn (PlacedFinding $one) => ! in_array($one->fingerprint, $rubbed, true),
        );
        $asked = array_filter(
            $report->outcomes,
            fn (CoreOutcome $one) => ! $handIn->assignment->leavesOut($one->requirement->terms->id),
        );
        $earned = array_values(array_map(fn (CoreOutcome $one) => $one->earnedWithout($rubbed), $asked));

        return Score::of(
            self::byHand($earned, $handIn),
            $scheme,
            array_count_values(array_map(fn (PlacedFinding $one) => $one->finding->weight->value, $costing)),
            $handIn->minutes_late,
        );
    }

    /** @return list<Earned> */
    private static function earned(HandIn $handIn): array
    {
        $outcomes = ($handIn->run->outcomes ?? new Collection)
            ->reject(fn (Outcome $one) => $handIn->assignment->leavesOut($one->requirement));

        return self::byHand(array_values($outcomes->map(fn (Outcome $outcome) => Earned::worked(
            $outcome->requirement,
            $outcome->title,
            $outcome->outcome,
            (float) $outcome->awarded,
            (float) $outcome->possible,
            $outcome->how,
        ))->all()), $handIn);
    }

    /**
     * @param  list<Earned>  $earned
     * @return list<Earned>
     */
    private static function byHand(array $earned, HandIn $handIn): array
    {
        $marks = $handIn->marks->keyBy('requirement');

        return array_map(function (Earned $one) use ($marks): Earned {
            $mark = $marks->get($one->requirement);

            return $mark === null ? $one : $one->byHand((float) $mark->points, $mark->reason);
        }, $earned);
    }

    /**
     * What was rubbed out costs nothing.
     *
     * @param  list<string>  $runs  ids of those whose findings cost something
     * @return array<string, array<string, int>> how many findings no requirement tells of, by run, then by weight
     */
    public static function costing(array $runs): array
    {
        if ($runs === []) {
            return [];
        }
        $found = [];
        foreach (DB::select(self::COSTING, ['{'.implode(',', $runs).'}', RemarkKind::RubbedOut->value]) as $row) {
            $found[(string) $row->check_run_id][(string) $row->weight] = (int) $row->findings;
        }

        return $found;
    }
}
