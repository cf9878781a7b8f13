<?php

declare(strict_types=1);

namespace App\Marking;

use App\Models\HandIn;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Finding\Weight;

/** The commonest slips of a class: what the rules found, by kind, with whose they are. */
final readonly class Slips
{
    private const BY_HAND_IN = <<<'SQL'
        select found.rule, found.variant || case when found.rule like 'brief/%' then coalesce('@' || found.requirement, '') else '' end
            as variant, run.hand_in_id, count(*) as findings,
            count(*) filter (where remark.id is null) as pencilled,
            (array_agg(found.weight order by found.position))[1] as weight,
            (array_agg(found.message order by found.position))[1] as message,
            (array_agg(found.requirement order by found.position))[1] as requirement,
            (array_agg(found.file order by remark.id is not null, found.position))[1] as leaf,
            (array_agg(case when found.end_offset > 0 then found.start_line end order by remark.id is not null, found.position))[1] as line,
            (array_agg(found.fingerprint order by remark.id is not null, found.position))[1] as fingerprint
        from findings found
        join check_runs run on run.id = found.check_run_id
        left join remarks remark on remark.hand_in_id = run.hand_in_id and remark.fingerprint = found.fingerprint
        where found.check_run_id = any(?)
        group by 1, 2, 3
        SQL;

    /**
     * Asks the database once, whatever the number.
     *
     * @param  Collection<int, HandIn>  $handIns  with their students and runs
     * @return list<ClassSlip> those of the most hand-ins first
     */
    public static function of(Collection $handIns): array
    {
        $students = $handIns->mapWithKeys(fn (HandIn $one) => [$one->id => $one->student->name])->all();
        $runs = '{'.$handIns->map(fn (HandIn $one) => $one->run?->id)->filter()->implode(',').'}';
        $kinds = [];
        /**
         * @var object{rule: string, variant: string, hand_in_id: string, findings: int, pencilled: int, weight: string,
         *     message: string, requirement: string|null, leaf: string, line: int|null, fingerprint: string} $row
         */
        foreach (DB::select(self::BY_HAND_IN, [$runs]) as $row) {
            $kinds["$row->rule\n$row->variant"][] = $row;
        }
        $slips = array_map(function (array $rows) use ($students): ClassSlip {
            $places = array_map(fn (object $row) => new SlipPlace(
                $row->hand_in_id,
                $students[$row->hand_in_id] ?? '',
                $row->findings,
                $row->pencilled,
                $row->leaf,
                $row->line,
                $row->fingerprint,
            ), $rows);
            usort($places, fn (SlipPlace $a, SlipPlace $b) => strcmp($a->student, $b->student));

            return new ClassSlip(
                $rows[0]->rule,
                $rows[0]->variant,
                Weight::from($rows[0]->weight),
                $rows[0]->message,
                $rows[0]->requirement,
                array_sum(array_column($places, 'findings')),
                array_sum(array_column($places, 'pencilled')),
                $places,
            );
        }, array_values($kinds));
        usort(
            $slips,
            fn (ClassSlip $a, ClassSlip $b) => [
                count($b->places),
                $b->findings,
                $a->rule,
            ] <=> [count($a->places), $a->findings, $b->rule],
        );

        return $slips;
    }
}
