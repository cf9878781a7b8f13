<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\AssignmentView;
use App\Http\Resources\BriefView;
use App\Http\Resources\HandInLine;
use App\Http\Resources\RunView;
use App\Http\Resources\StudentLine;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\RemarkKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

final class AssignmentController extends Controller
{
    /** How many findings each hand-in's newest run has, by what was decided about them. */
    private const TALLIES = <<<'SQL'
        select run.hand_in_id, coalesce(remark.kind, 'pencilled') as state, count(*) as findings
        from (select distinct on (hand_in_id) id, hand_in_id from check_runs where hand_in_id = any(?) order by hand_in_id, created_at desc, id desc) run
        join findings finding on finding.check_run_id = run.id
        left join remarks remark on remark.hand_in_id = run.hand_in_id and remark.fingerprint = finding.fingerprint
        group by 1, 2
        SQL;

    #[OA\Get(
        path: '/api/assignments/{assignment}',
        operationId: 'assignment',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: AssignmentView::class),
        )],
    )]
    public function show(Request $request, Assignment $assignment): JsonResponse
    {
        $user = self::user($request);
        $assignment->load(['course.students', 'brief']);
        $handIns = $assignment->handIns()->newest()->with([
            'student', 'run', 'reply', 'marks', 'run.outcomes',
        ])->withCount([
            'remarks as notes_count' => fn ($remarks) => $remarks->whereIn('kind', RemarkKind::WRITTEN),
        ])->get()
            ->each(fn (HandIn $handIn) => $handIn->setRelation('assignment', $assignment));
        $tallies = $this->tallies(array_values(array_map(strval(...), $handIns->modelKeys())));

        return response()->json(new AssignmentView(
            $assignment->id,
            $assignment->title,
            $assignment->summary,
            $assignment->due_at?->toIso8601String(),
            $assignment->course_id,
            $assignment->course->title,
            (string) $user->roleIn($assignment->course_id),
            $assignment->brief === null ? null : BriefView::of($assignment->brief),
            array_values($handIns->map(fn (HandIn $handIn) => $this->line(
                $handIn,
                $tallies[$handIn->id] ?? [],
            ))->sortBy('student')->all()),
            StudentLine::list($assignment->course->students->whereNotIn('id', $handIns->pluck('student_id'))),
        ));
    }

    /** @param  array<string, int>  $tally  by kind of remark; `pencilled` for findings without one */
    private function line(HandIn $handIn, array $tally): HandInLine
    {
        $marks = $handIn->marks->keyBy('requirement');
        $run = $handIn->run;

        return new HandInLine(
            $handIn->id,
            $handIn->student->name,
            $handIn->student->handle,
            $handIn->attempt,
            $handIn->arrived_at->toIso8601String(),
            $handIn->isLate(),
            RunView::of($run),
            $tally['pencilled'] ?? 0,
            $tally['finding'] ?? 0,
            $tally['rubbed-out'] ?? 0,
            $handIn->notes_count,
            $run?->awarded === null
                ? null
                : (float) $run->outcomes->sum(
                    fn ($outcome) => (float) ($marks->get($outcome->requirement)->points ?? $outcome->awarded),
                ),
            $run?->possible === null ? null : (float) $run->possible,
            $handIn->reply?->released_at->toIso8601String(),
        );
    }

    /**
     * @param  list<string>  $handIns
     * @return array<string, array<string, int>> by hand-in, then by kind of remark
     */
    private function tallies(array $handIns): array
    {
        $tallies = [];
        foreach (DB::select(self::TALLIES, ['{'.implode(',', $handIns).'}']) as $row) {
            $tallies[(string) $row->hand_in_id][(string) $row->state] = (int) $row->findings;
        }

        return $tallies;
    }
}
