<?php

declare(strict_types=1);

namespace App\Marking;

use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Marking\Earned;
use InkedMargin\Core\Marking\OutcomeKind;

/**
 * What one requirement came to in one hand-in of a class. A class has thousands of them, so they are read as plain
 * rows: as models they took longer than all else on the class sheet.
 */
final readonly class ClassOutcome
{
    private const ROWS = <<<'SQL'
        select o.check_run_id, o.requirement, o.title, o.outcome, o.awarded, o.possible, m.points as by_hand,
            o.choices <> '[]' as by_eye
        from outcomes o
        join check_runs r on r.id = o.check_run_id
        left join marks m on m.hand_in_id = r.hand_in_id and m.requirement = o.requirement
        where o.check_run_id = any(?)
        order by o.check_run_id, o.position
        SQL;

    private function __construct(
        public string $requirement,
        public string $title,
        public OutcomeKind $kind,
        public float $awarded,
        public float $possible,
        public ?float $byHand,
        public bool $isByEye,
    ) {
    }

    /**
     * Asks the database once, whatever the number.
     *
     * @param  list<string>  $runs  their ids
     * @return array<string, array<string, self>> by run, then by requirement as the brief has them; a run without any
     *     is left out
     */
    public static function ofRuns(array $runs): array
    {
        $outcomes = [];
        /**
         * @var object{check_run_id: string, requirement: string, title: string, outcome: string, awarded: string,
         *     possible: string, by_hand: string|null, by_eye: bool} $row
         */
        foreach (DB::select(self::ROWS, ['{'.implode(',', $runs).'}']) as $row) {
            $outcomes[$row->check_run_id][$row->requirement] = new self(
                $row->requirement,
                $row->title,
                OutcomeKind::from($row->outcome),
                (float) $row->awarded,
                (float) $row->possible,
                $row->by_hand === null ? null : (float) $row->by_hand,
                $row->by_eye,
            );
        }

        return $outcomes;
    }

    public function earned(): Earned
    {
        $worked = Earned::worked($this->requirement, $this->title, $this->kind, $this->awarded, $this->possible, '');

        return $this->byHand === null ? $worked : $worked->byHand($this->byHand, null);
    }

    public function cell(): SheetCell
    {
        $points = $this->byHand ?? $this->awarded;
        $share = match (true) {
            $this->byHand === null && $this->kind === OutcomeKind::NotJudged => null,
            $this->possible > 0 => $points / $this->possible,
            default => $this->kind === OutcomeKind::Met ? 1.0 : 0.0,
        };

        return new SheetCell($share === null ? null : round($share, 3), $points, $this->byHand !== null);
    }
}
