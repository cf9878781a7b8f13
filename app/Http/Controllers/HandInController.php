<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\AttemptLine;
use App\Http\Resources\Desk;
use App\Http\Resources\DeskFinding;
use App\Http\Resources\DeskNote;
use App\Http\Resources\DeskOutcome;
use App\Http\Resources\Leaf;
use App\Http\Resources\OutcomeShortfall;
use App\Http\Resources\RunView;
use App\Models\Finding;
use App\Models\HandIn;
use App\Models\HandInFile;
use App\Models\Outcome;
use App\Models\Remark;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Collection;
use InkedMargin\Core\Source\FileKind;
use OpenApi\Attributes as OA;

final class HandInController extends Controller
{
    #[OA\Get(
        path: '/api/hand-ins/{handIn}',
        operationId: 'desk',
        responses: [new OA\Response(response: 200, description: 'OK', content: new OA\JsonContent(ref: Desk::class))],
    )]
    public function show(HandIn $handIn): JsonResponse
    {
        $handIn->load([
            'assignment.course', 'student', 'files', 'run.findings', 'run.outcomes', 'remarks', 'marks',
            'reply',
        ]);
        [$previous, $next] = $this->neighbours($handIn);
        $attempts = HandIn::query()->where(
            'assignment_id',
            $handIn->assignment_id,
        )->where('student_id', $handIn->student_id)->orderBy('attempt')->get();

        return response()->json(new Desk(
            id: $handIn->id,
            student: $handIn->student->name,
            studentId: $handIn->student_id,
            attempt: $handIn->attempt,
            attempts: array_values($attempts->map(fn (HandIn $attempt) => new AttemptLine(
                $attempt->id,
                $attempt->attempt,
                $attempt->arrived_at->toIso8601String(),
            ))->all()),
            assignmentId: $handIn->assignment_id,
            assignment: $handIn->assignment->title,
            courseId: $handIn->assignment->course_id,
            course: $handIn->assignment->course->title,
            arrivedAt: $handIn->arrived_at->toIso8601String(),
            late: $handIn->isLate(),
            archiveName: $handIn->archive_name,
            run: RunView::of($handIn->run),
            leaves: $this->leaves($handIn),
            findings: DeskFinding::allOf($handIn),
            notes: self::notes($handIn),
            outcomes: $this->outcomes($handIn),
            previousId: $previous,
            nextId: $next,
            repliedAt: $handIn->reply?->released_at->toIso8601String(),
        ));
    }

    /**
     * @return list<Leaf> pages first, home before the others, then the rest; files that should be there and are not
     *     among them
     */
    private function leaves(HandIn $handIn): array
    {
        $leaves = $handIn->files->map(fn (HandInFile $file) => new Leaf(
            $file->path,
            FileKind::ofExtension(pathinfo($file->path, PATHINFO_EXTENSION))->value,
            $file->bytes,
            false,
        ));
        $there = $handIn->files->pluck('path')->flip();
        $missing = collect(
            ($handIn->run->findings ?? new Collection)->all(),
        )->map(fn (Finding $finding) => $finding->file)->unique()
            ->filter(fn (string $file) => $file !== '' && ! $there->has($file))
            ->map(fn (string $file) => new Leaf(
                $file,
                FileKind::ofExtension(pathinfo($file, PATHINFO_EXTENSION))->value,
                0,
                true,
            ));
        $order = array_flip(array_column(FileKind::cases(), 'value'));

        return array_values($leaves->concat($missing)
            ->sortBy(fn (Leaf $leaf) => [
                $order[$leaf->kind],
                $leaf->path !== 'index.html',
                substr_count($leaf->path, '/'),
                $leaf->path,
            ])
            ->all());
    }

    /** @return list<DeskNote> */
    private static function notes(HandIn $handIn): array
    {
        $written = $handIn->remarks->filter(fn (Remark $remark) => $remark->kind->isWritten());

        return array_values($written->map(DeskNote::of(...))->all());
    }

    /** @return list<DeskOutcome> */
    private function outcomes(HandIn $handIn): array
    {
        $marks = $handIn->marks->keyBy('requirement');

        return array_values(($handIn->run->outcomes ?? new Collection)->map(function (Outcome $outcome) use ($marks): DeskOutcome {
            $mark = $marks->get($outcome->requirement);

            return new DeskOutcome(
                $outcome->requirement,
                $outcome->title,
                $outcome->outcome,
                $outcome->measured,
                $outcome->expected,
                (float) $outcome->awarded,
                (float) ($mark->points ?? $outcome->awarded),
                (float) $outcome->possible,
                $mark?->reason,
                array_values(array_map(
                    fn (array $one) => new OutcomeShortfall($one['file'], $one['line'], $one['message']),
                    $outcome->shortfalls,
                )),
            );
        })->all());
    }

    /** @return array{string|null, string|null} the hand-ins of the students before and after, by name */
    private function neighbours(HandIn $handIn): array
    {
        $all = HandIn::query()->newest()->where('assignment_id', $handIn->assignment_id)
            ->join('students', 'students.id', '=', 'hand_ins.student_id')
            ->orderBy('students.name')->orderBy('students.id')
            ->get(['hand_ins.id', 'hand_ins.student_id'])->values();
        $here = $all->search(fn (HandIn $other) => $other->student_id === $handIn->student_id);

        return [$all->get((int) $here - 1)?->id, $all->get((int) $here + 1)?->id];
    }
}
