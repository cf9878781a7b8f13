<?php

declare(strict_types=1);

namespace App\Outcomes;

use App\Models\Outcome;
use App\Models\RemarkKind;
use App\Models\RunState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Brief\Scheme;
use InkedMargin\Core\Marking\Earned;
use InkedMargin\Core\Marking\FindingCosts;
use InkedMargin\Core\Marking\Score;
use InkedMargin\Core\Source\TextMap;

/**
 * Works the points of hand-ins out again after something was rubbed out, or was brought back: without another check,
 * from what the last one kept.
 */
final readonly class RecountOutcomes
{
    private const CHUNK = 100;

    private const RUNS = <<<'SQL'
        select distinct on (run.hand_in_id) run.id, run.hand_in_id, coalesce(run.scheme, '{}') as scheme
        from check_runs run
        where run.hand_in_id = any(?) and run.state = ?
        order by run.hand_in_id, run.created_at desc, run.id desc
        SQL;

    private const FINDINGS = <<<'SQL'
        select check_run_id, fingerprint, weight, free, cost from findings
        where check_run_id = any(?) order by check_run_id, position
        SQL;

    private const COSTS = <<<'SQL'
        update findings set cost = new.cost
        from jsonb_to_recordset(?::jsonb) as new(run uuid, fingerprint text, cost numeric)
        where findings.check_run_id = new.run and findings.fingerprint = new.fingerprint
        SQL;

    private const OUTCOMES = <<<'SQL'
        update outcomes set outcome = new.outcome, awarded = new.awarded, how = new.how, shortfalls = new.shortfalls
        from jsonb_to_recordset(?::jsonb) as new(id uuid, outcome text, awarded numeric, how text, shortfalls jsonb)
        where outcomes.id = new.id
        SQL;

    /** @param  list<string>  $handIns  their ids */
    public static function of(array $handIns): void
    {
        foreach (array_chunk(array_values(array_unique($handIns)), self::CHUNK) as $chunk) {
            DB::transaction(function () use ($chunk): void {
                // Of two desks that rub out at the same moment, the second counts what the first did.
                DB::select('select 1 from hand_ins where id = any(?) order by id for update', [self::list($chunk)]);
                self::chunk($chunk);
            });
        }
    }

    /** @param  list<string>  $handIns */
    private static function chunk(array $handIns): void
    {
        /** @var list<object{id: string, hand_in_id: string, scheme: string}> $runs */
        $runs = DB::select(self::RUNS, [self::list($handIns), RunState::Finished->value]);
        $rubbedOut = self::rubbedOut($handIns);
        $ids = array_column($runs, 'id');
        $outcomes = Outcome::query()->whereIn('check_run_id', $ids)->whereNotNull('award')
            ->orderBy('position')->get()->groupBy('check_run_id');
        $found = [];
        /** @var object{check_run_id: string, fingerprint: string, weight: string, free: bool, cost: string} $row */
        foreach (DB::select(self::FINDINGS, [self::list($ids)]) as $row) {
            $found[$row->check_run_id][] = $row;
        }
        $changed = $costs = [];
        foreach ($runs as $run) {
            $own = $outcomes->get($run->id) ?? new Collection;
            if ($own->isEmpty()) {
                continue;
            }
            $gone = $rubbedOut[$run->hand_in_id] ?? [];
            $recounted = $own->map(fn (Outcome $one) => new RecountedOutcome($one, $gone))->all();
            foreach ($recounted as $one) {
                if ($one->isChanged()) {
                    $changed[] = $one->row();
                }
            }
            $scheme = self::scheme($run->scheme);
            $here = $found[$run->id] ?? [];
            $free = self::free($here, $gone);
            array_push($costs, ...self::costs($run->id, $recounted, $here, $free, $scheme));
            self::keepScore($run->id, $recounted, $free, $scheme);
        }
        DB::update(self::OUTCOMES, [json_encode($changed, JSON_THROW_ON_ERROR)]);
        DB::update(self::COSTS, [json_encode($costs, JSON_THROW_ON_ERROR)]);
    }

    /**
     * @param  array<array-key, RecountedOutcome>  $outcomes
     * @param  list<object{fingerprint: string, weight: string, free: bool, cost: string}>  $found
     * @param  list<object{fingerprint: string, weight: string}>  $free  of them, what `free` gave
     * @return list<array{run: string, fingerprint: string, cost: float}> those that cost something else now
     */
    private static function costs(string $run, array $outcomes, array $found, array $free, Scheme $scheme): array
    {
        /** @var TextMap<float> $now by fingerprint */
        $now = new TextMap;
        foreach ($outcomes as $outcome) {
            foreach ($outcome->costs() as $print => $cost) {
                $now->put($print, ($now->get($print) ?? 0.0) + $cost);
            }
        }
        $off = FindingCosts::byWeight(array_column($free, 'weight'), $scheme);
        foreach ($free as $at => $one) {
            $now->put($one->fingerprint, $off[$at]);
        }
        $changed = [];
        foreach ($found as $one) {
            $cost = round($now->get($one->fingerprint) ?? 0.0, 2);
            if ($cost !== (float) $one->cost) {
                $changed[] = ['run' => $run, 'fingerprint' => $one->fingerprint, 'cost' => $cost];
            }
        }

        return $changed;
    }

    /**
     * @param  array<array-key, RecountedOutcome>  $outcomes
     * @param  list<object{weight: string}>  $free  what no requirement covers
     */
    private static function keepScore(string $run, array $outcomes, array $free, Scheme $scheme): void
    {
        $score = Score::of(
            array_values(array_map(fn (RecountedOutcome $one): Earned => $one->earned(), $outcomes)),
            $scheme,
            array_count_values(array_column($free, 'weight')),
        );
        DB::table('check_runs')->where('id', $run)->update(['awarded' => $score->awarded]);
    }

    /**
     * @template T of object{fingerprint: string, free: bool}
     *
     * @param  list<T>  $found
     * @param  list<string>  $gone
     * @return list<T> what no requirement covers, and was not rubbed out
     */
    private static function free(array $found, array $gone): array
    {
        $isGone = TextMap::of($gone);

        return array_values(array_filter(
            $found,
            fn (object $one) => $one->free && ! $isGone->has($one->fingerprint),
        ));
    }

    /**
     * @param  list<string>  $handIns
     * @return array<string, list<string>> fingerprints by hand-in
     */
    private static function rubbedOut(array $handIns): array
    {
        $rows = DB::table('remarks')->whereIn('hand_in_id', $handIns)->whereNotNull('fingerprint')
            ->where('kind', RemarkKind::RubbedOut->value)->get(['hand_in_id', 'fingerprint']);
        $prints = [];
        /** @var object{hand_in_id: string, fingerprint: string} $row */
        foreach ($rows as $row) {
            $prints[$row->hand_in_id][] = $row->fingerprint;
        }

        return $prints;
    }

    private static function scheme(string $written): Scheme
    {
        /** @var array<string, mixed>|null $scheme */
        $scheme = json_decode($written, true);

        return Scheme::of($scheme ?? []);
    }

    /** @param  list<string>  $ids */
    private static function list(array $ids): string
    {
        return '{'.implode(',', $ids).'}';
    }
}
