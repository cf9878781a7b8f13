<?php

declare(strict_types=1);

namespace App\Marking;

use App\Models\CheckRun;
use App\Models\HandIn;
use App\Models\RunState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** The hand-ins before and after one, in the order that somebody reads a class in. */
final readonly class NextUp
{
    /**
     * @param  Collection<int, HandIn>  $queue
     * @param  int  $at  the place in it of the one that is read
     */
    private function __construct(private Collection $queue, private int $at)
    {
    }

    /**
     * @param  HandIn  $handIn  with its student
     * @param  string|null  $rule  only those in which this rule found something
     */
    public static function of(HandIn $handIn, ReadingOrder $order, ?string $rule): self
    {
        $query = HandIn::query()->counting()->where('hand_ins.assignment_id', $handIn->assignment_id)
            ->join('students', 'students.id', '=', 'hand_ins.student_id')
            ->select(['hand_ins.id', 'hand_ins.student_id']);
        if ($rule !== null || $order === ReadingOrder::Points) {
            $query->leftJoin('check_runs as run', fn ($join) => $join
                ->on('run.hand_in_id', '=', 'hand_ins.id')->whereRaw(CheckRun::isNewest('run')));
        }
        // The one that is read keeps its place, whatever becomes of it.
        $isHere = fn (Builder $query) => $query->orWhere('hand_ins.student_id', $handIn->student_id);
        if ($order === ReadingOrder::Unread) {
            $query->where(fn (Builder $waiting) => $waiting->where('waits', true)->whereNull('put_by')->tap($isHere));
        }
        if ($rule !== null) {
            $query->where(fn (Builder $with) => $with->whereExists(fn ($found) => $found->from('findings')
                ->whereColumn('findings.check_run_id', 'run.id')->where('findings.rule', $rule))->tap($isHere));
        }
        if ($order === ReadingOrder::Points) {
            // What is not checked yet comes last.
            $query->orderByRaw('run.state = ? desc nulls last', [RunState::Finished->value])
                ->orderByRaw('run.awarded / nullif(run.possible, 0) nulls last');
        }

        $queue = $query->orderBy('students.name')->orderBy('students.id')->get()->toBase();
        $at = $queue->search(fn (HandIn $other) => $other->student_id === $handIn->student_id);

        return new self($queue, (int) $at);
    }

    public function previous(): ?string
    {
        return $this->at === 0 ? null : $this->queue->get($this->at - 1)?->id;
    }

    public function next(): ?string
    {
        return $this->queue->get($this->at + 1)?->id;
    }

    /** Its place among them, from 1, and how many they are. */
    public function place(): string
    {
        return ($this->at + 1).' of '.$this->queue->count();
    }
}
