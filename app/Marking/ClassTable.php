<?php

declare(strict_types=1);

namespace App\Marking;

use App\Courses\Extensions;
use App\Models\Assignment;
use App\Models\CheckRun;
use App\Models\HandIn;
use App\Models\Student;
use App\Outcomes\Scores;
use InkedMargin\Core\Marking\Score;

/** A class against the requirements: those too who sent nothing, and the commonest slips beside it. */
final readonly class ClassTable
{
    /**
     * @param  list<ClassOutcome>  $columns
     * @param  array<string, HandIn>  $handIns  by student
     * @param  array<string, array<string, ClassOutcome>>  $outcomes  by run, then by requirement
     * @param  array<string, Score>  $scores  by hand-in
     * @param  Extensions  $extensions  of the assignment
     */
    private function __construct(
        private array $columns,
        private array $handIns,
        private array $outcomes,
        private array $scores,
        private Extensions $extensions,
    ) {
    }

    public static function of(Assignment $assignment): ClassSheet
    {
        $assignment->load('course.students');
        $handIns = $assignment->handIns()->counting()->with('run')->withCount('replies')->get();
        $roster = $assignment->course->students->keyBy('id');
        foreach ($handIns as $one) {
            $one->setRelation('assignment', $assignment);
            if ($roster->has($one->student_id)) {
                $one->setRelation('student', $roster->get($one->student_id));
            }
        }
        // Of those who were set aside since.
        $handIns = $handIns->loadMissing('student')->toBase();
        $runs = $handIns->map(fn (HandIn $one) => $one->run)->filter();
        $outcomes = ClassOutcome::ofRuns(array_values($runs->map(fn (CheckRun $run) => $run->id)->all()));
        // The columns are those of the newest check: a brief that was changed meanwhile is being checked anew.
        $newest = $runs->sortByDesc('created_at')->first(fn (CheckRun $run) => isset($outcomes[$run->id]));
        $earned = $handIns->mapWithKeys(fn (HandIn $one) => [
            $one->id => array_map(
                fn (ClassOutcome $outcome) => $outcome->earned(),
                array_values(array_filter(
                    $outcomes[$one->run->id ?? ''] ?? [],
                    fn (ClassOutcome $outcome) => ! $assignment->leavesOut($outcome->requirement),
                )),
            ),
        ]);
        $table = new self(
            array_values($outcomes[$newest->id ?? ''] ?? []),
            $handIns->keyBy('student_id')->all(),
            $outcomes,
            Scores::from($handIns, $earned->all()),
            Extensions::of($assignment),
        );

        return $table->sheet($assignment, Slips::of($handIns));
    }

    /** @param  list<ClassSlip>  $slips */
    private function sheet(Assignment $assignment, array $slips): ClassSheet
    {
        $rows = array_values($assignment->course->students
            ->filter(fn (Student $one) => $one->set_aside_at === null || isset($this->handIns[$one->id]))
            ->sortBy('name')
            ->map($this->row(...))
            ->all());
        $requirements = array_map(
            fn (ClassOutcome $one, int $at) => new SheetRequirement(
                $one->requirement,
                $one->title,
                $one->possible,
                self::shareOf($rows, $at),
                $assignment->leavesOut($one->requirement),
                $one->isByEye,
            ),
            $this->columns,
            array_keys($this->columns),
        );

        return new ClassSheet(
            $assignment->title,
            $assignment->course->title,
            $assignment->course_id,
            $requirements,
            $rows,
            $slips,
        );
    }

    private function row(Student $student): ClassSheetRow
    {
        $handIn = $this->handIns[$student->id] ?? null;
        $outcomes = $this->outcomes[$handIn->run->id ?? ''] ?? [];
        $score = $outcomes === [] || $handIn === null ? null : $this->scores[$handIn->id];

        return new ClassSheetRow(
            $student->id,
            $student->name,
            $student->group,
            $handIn?->id,
            $handIn->late ?? false,
            $handIn?->put_by,
            ($handIn->replies_count ?? 0) > 0,
            $score?->awarded,
            $score?->possible,
            $score?->open() ?? 0.0,
            $this->extensions->view($student),
            array_map(fn (ClassOutcome $column) => ($outcomes[$column->requirement] ?? null)?->cell(), $this->columns),
        );
    }

    /** @param  list<ClassSheetRow>  $rows */
    private static function shareOf(array $rows, int $column): ?float
    {
        $shares = array_filter(
            array_map(fn (ClassSheetRow $row) => $row->cells[$column]?->share, $rows),
            fn (?float $share) => $share !== null,
        );

        return $shares === [] ? null : round(array_sum($shares) / count($shares), 3);
    }
}
