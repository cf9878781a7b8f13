<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Courses\CarryOver;
use App\Courses\Extensions;
use App\Courses\ExtensionView;
use App\Courses\WallClock;
use App\Description\Status;
use App\Http\Shared\BriefView;
use App\Http\Shared\Controller;
use App\Http\Shared\DeleteRequest;
use App\Http\Shared\Made;
use App\Http\Shared\RunView;
use App\Http\Shared\StudentLine;
use App\Models\Assignment;
use App\Models\Course;
use App\Models\HandIn;
use App\Models\RemarkKind;
use App\Models\Student;
use App\Outcomes\Scores;
use App\Sites\CountedAttempt;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Marking\Score;

final class AssignmentController extends Controller
{
    /** How many of the findings of each hand-in's newest run are decided, and how. */
    private const DECIDED = <<<'SQL'
        select remark.hand_in_id, remark.kind, count(*) as findings
        from remarks remark
        join findings finding on finding.check_run_id = any(?) and finding.fingerprint = remark.fingerprint
        join check_runs run on run.id = finding.check_run_id and run.hand_in_id = remark.hand_in_id
        where remark.hand_in_id = any(?)
        group by 1, 2
        SQL;

    public function show(Request $request, Assignment $assignment): AssignmentView
    {
        $user = self::user($request);
        $assignment->load(['course.students', 'brief']);
        $handIns = $assignment->handIns()->counting()->with([
            'student', 'run', 'reply', 'marks', 'run.outcomes',
        ])->withCount([
            'remarks as notes_count' => fn ($remarks) => $remarks->whereIn('kind', RemarkKind::WRITTEN),
        ])->get()
            ->each(fn (HandIn $handIn) => $handIn->setRelation('assignment', $assignment));
        $decided = $this->decided($handIns);

        $scores = Scores::of($handIns->toBase());

        return new AssignmentView(
            $assignment->id,
            $assignment->title,
            $assignment->summary,
            $assignment->due_at?->toIso8601String(),
            (new WallClock($assignment->course->time_zone))->show($assignment->due_at),
            $assignment->course->time_zone,
            $assignment->most_attempts,
            $assignment->takes_late,
            $assignment->students_see,
            $assignment->closed_at !== null,
            $assignment->course_id,
            $assignment->course->title,
            (string) $user->roleIn($assignment->course_id),
            $assignment->brief === null ? null : BriefView::of($assignment->brief),
            array_values($handIns->map(fn (HandIn $handIn) => $this->line(
                $handIn,
                $decided[$handIn->id] ?? [],
                $scores[$handIn->id],
            ))->sortBy('student')->all()),
            StudentLine::list($assignment->course->students->whereNotIn('id', $handIns->pluck('student_id'))),
            self::checking($assignment),
            self::extensions($assignment),
            self::groups($assignment),
            StudentLine::list($assignment->course->students->sortBy('name')),
        );
    }

    #[Status(201)]
    public function store(AssignmentRequest $request, Course $course): Made
    {
        return new Made($course->assignments()->create($request->assignment())->id);
    }

    /** Another assignment of the course with the same words, files and brief, and no due time yet. */
    #[Status(201)]
    public function copy(Assignment $assignment): Made
    {
        return new Made(CarryOver::within($assignment)->id);
    }

    public function update(AssignmentRequest $request, Assignment $assignment): void
    {
        DB::transaction(function () use ($request, $assignment): void {
            $assignment->update($request->assignment());
            CountedAttempt::settle($assignment);
        });
    }

    /** From now on, nothing is taken in. */
    public function close(Assignment $assignment): void
    {
        $assignment->update(['closed_at' => $assignment->closed_at ?? now()]);
    }

    public function open(Assignment $assignment): void
    {
        $assignment->update(['closed_at' => null]);
    }

    /** With its brief, hand-ins and replies. */
    public function destroy(DeleteRequest $request, Assignment $assignment): void
    {
        $assignment->delete();
    }

    /** @param  array<string, int>  $decided  findings by kind of remark */
    private function line(HandIn $handIn, array $decided, Score $score): HandInLine
    {
        $run = $handIn->run;

        return new HandInLine(
            $handIn->id,
            $handIn->student->name,
            $handIn->student->handle,
            $handIn->attempt,
            $handIn->arrived_at->toIso8601String(),
            $handIn->late,
            RunView::of($run),
            max(0, ($run?->foundCount() ?? 0) - array_sum($decided)),
            $decided[RemarkKind::Finding->value] ?? 0,
            $decided[RemarkKind::RubbedOut->value] ?? 0,
            $handIn->notes_count,
            $run?->awarded === null ? null : $score->awarded,
            $run?->possible === null ? null : $score->possible,
            $handIn->reply?->released_at->toIso8601String(),
            $handIn->student_id,
            $score->open(),
        );
    }

    /**
     * @param  Collection<int, HandIn>  $handIns  with their runs
     * @return array<string, array<string, int>> by hand-in, then by kind of remark
     */
    private function decided(Collection $handIns): array
    {
        $list = fn (Collection $ids) => '{'.$ids->filter()->implode(',').'}';
        $rows = DB::select(self::DECIDED, [
            $list($handIns->map(fn (HandIn $one) => $one->run?->id)),
            $list($handIns->map(fn (HandIn $one) => $one->id)),
        ]);
        $decided = [];
        foreach ($rows as $row) {
            $decided[(string) $row->hand_in_id][(string) $row->kind] = (int) $row->findings;
        }

        return $decided;
    }

    /** @return list<string> */
    private static function groups(Assignment $assignment): array
    {
        $groups = $assignment->course->students->map(fn (Student $one) => $one->group)->filter()->unique()->sort();

        return array_values($groups->all());
    }

    /** @return list<ExtensionView> those of groups first */
    private static function extensions(Assignment $assignment): array
    {
        $extensions = Extensions::of($assignment);
        $own = $assignment->course->students->sortBy('name')->map($extensions->view(...))->filter();

        return [...$extensions->groups(), ...array_values($own->all())];
    }

    private static function checking(Assignment $assignment): ?Checking
    {
        $batch = $assignment->batch_id === null ? null : Bus::findBatch($assignment->batch_id);
        if ($batch === null) {
            return null;
        }
        // The first job of the batch is the one that adds the others.
        $steps = $batch->totalJobs - 1;
        $done = max(0, $batch->totalJobs - $batch->pendingJobs + $batch->failedJobs - 1);

        return $batch->finished() || $done >= max(1, $steps) ? null : new Checking($done, $steps);
    }
}
