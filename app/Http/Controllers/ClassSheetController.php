<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\ClassSheet;
use App\Http\Resources\ClassSheetRow;
use App\Http\Resources\SheetCell;
use App\Http\Resources\SheetRequirement;
use App\Marking\Scores;
use App\Marking\Slips;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\Mark;
use App\Models\Outcome;
use App\Models\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Collection;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Marking\Score;
use OpenApi\Attributes as OA;

/** The whole class on one sheet. */
final class ClassSheetController extends Controller
{
    #[OA\Get(
        path: '/api/assignments/{assignment}/class-sheet',
        operationId: 'classSheet',
        responses: [new OA\Response(response: 200, description: 'OK', content: new OA\JsonContent(ref: ClassSheet::class))],
    )]
    public function show(Assignment $assignment): JsonResponse
    {
        $assignment->load('course.students');
        $handIns = $assignment->handIns()->counting()->with(['student', 'run.outcomes', 'marks'])->withCount('replies')->get()
            ->each(fn (HandIn $handIn) => $handIn->setRelation('assignment', $assignment));
        $scores = Scores::of($handIns->toBase());
        // The columns are those of the newest check: a brief that was changed meanwhile is being checked anew.
        $newest = $handIns->map(fn (HandIn $one) => $one->run)->filter()->sortByDesc('created_at')
            ->first(fn ($run) => $run->outcomes->isNotEmpty());
        $columns = ($newest->outcomes ?? new Collection)->toBase();
        $byStudent = $handIns->keyBy('student_id');
        $rows = $assignment->course->students
            ->filter(fn (Student $one) => $one->set_aside_at === null || $byStudent->has($one->id))
            ->sortBy('name')
            ->map(function (Student $student) use ($byStudent, $columns, $scores): ClassSheetRow {
                $handIn = $byStudent->get($student->id);

                return self::row($student, $handIn, $handIn === null ? null : $scores[$handIn->id], $columns);
            });
        $rows = array_values($rows->all());

        return response()->json(new ClassSheet(
            $assignment->title,
            $assignment->course->title,
            $assignment->course_id,
            array_values($columns->map(fn (Outcome $one, int $at) => new SheetRequirement(
                $one->requirement,
                $one->title,
                (float) $one->possible,
                self::shareOf($rows, $at),
            ))->values()->all()),
            $rows,
            Slips::of($handIns->toBase()),
        ));
    }

    /** @param  Collection<int, Outcome>  $columns */
    private static function row(Student $student, ?HandIn $handIn, ?Score $score, Collection $columns): ClassSheetRow
    {
        $outcomes = ($handIn->run->outcomes ?? new Collection)->keyBy('requirement');
        $marks = ($handIn->marks ?? new Collection)->keyBy('requirement');
        $isChecked = $outcomes->isNotEmpty();

        return new ClassSheetRow(
            $student->id,
            $student->name,
            $student->group,
            $handIn?->id,
            $handIn->late ?? false,
            $handIn?->put_by,
            ($handIn->replies_count ?? 0) > 0,
            $isChecked ? $score?->awarded : null,
            $isChecked ? $score?->possible : null,
            array_values($columns->map(
                fn (Outcome $column) => self::cell($outcomes->get($column->requirement), $marks->get($column->requirement)),
            )->all()),
        );
    }

    private static function cell(?Outcome $outcome, ?Mark $mark): ?SheetCell
    {
        if ($outcome === null) {
            return null;
        }
        $points = (float) ($mark->points ?? $outcome->awarded);
        $possible = (float) $outcome->possible;
        $share = match (true) {
            $mark === null && $outcome->outcome === OutcomeKind::Unclear => null,
            $possible > 0 => $points / $possible,
            default => $outcome->outcome === OutcomeKind::Met ? 1.0 : 0.0,
        };

        return new SheetCell($share === null ? null : round($share, 3), $points, $mark !== null);
    }

    /** @param  list<ClassSheetRow>  $rows */
    private static function shareOf(array $rows, int $column): ?float
    {
        $shares = array_filter(array_map(fn (ClassSheetRow $row) => $row->cells[$column]?->share, $rows), fn (?float $share) => $share !== null);

        return $shares === [] ? null : round(array_sum($shares) / count($shares), 3);
    }
}
