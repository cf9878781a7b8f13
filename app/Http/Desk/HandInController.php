<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Checks\CheckHandIn;
use App\Courses\Extensions;
use App\Description\Status;
use App\Feedback\DeskStamp;
use App\Feedback\Margin;
use App\Http\Middleware\NotifyOtherTabs;
use App\Http\Shared\Controller;
use App\Http\Shared\RunView;
use App\Http\Sites\Leaf;
use App\Marking\NextUp;
use App\Models\HandIn;
use App\Models\Mark;
use App\Models\MendedCopy;
use App\Models\Outcome;
use App\Models\Remark;
use App\Models\RemarkKind;
use App\Models\RunState;
use App\Models\Student;
use App\Outcomes\OutcomeChoice;
use App\Outcomes\OutcomeShortfall;
use App\Outcomes\Scores;
use App\Replies\ScoreView;
use App\Sites\CountedAttempt;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

final class HandInController extends Controller
{
    public function show(DeskRequest $request, HandIn $handIn): Desk
    {
        $newest = $handIn->loadMissing('assignment.course')->load([
            'student', 'files', 'remarks', 'marks', 'reply', 'mendedCopies',
        ])->loadKnownRun();
        $handIn->run?->load('outcomes');
        $margin = Margin::of($handIn);
        $leaves = Leaf::inOrder(array_map(fn (array $leaf) => new Leaf(...$leaf), $margin->leaves()));
        $there = array_filter($leaves, fn (Leaf $leaf) => ! $leaf->missing);
        $nextUp = NextUp::of($handIn, $request->order(), $request->with());
        $extensions = Extensions::of($handIn->assignment);
        $attempts = HandIn::query()
            ->where('assignment_id', $handIn->assignment_id)
            ->where('student_id', $handIn->student_id)
            ->orderBy('attempt')->get();

        return new Desk(
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
            late: $handIn->late,
            coveringNote: $handIn->covering_note,
            address: $handIn->address,
            served: $handIn->served === null ? null : array_map(
                fn (array $one) => new ServedFile(...$one),
                $handIn->served,
            ),
            cut: $handIn->cut,
            compared: $handIn->compared === null ? null : new ComparedSite(...$handIn->compared),
            counts: $handIn->counts,
            chosen: $handIn->chosen,
            archiveName: $handIn->archive_name,
            run: RunView::of($newest),
            leaves: $leaves,
            tallies: LeafTally::list($margin),
            kinds: $margin->kinds(),
            first: LeafFindings::of($margin, $request->leaf() ?? reset($there)->path ?? ''),
            notes: self::notes($handIn),
            outcomes: $this->outcomes($handIn),
            score: ScoreView::of(Scores::one($handIn)),
            before: $handIn->run?->was_awarded === null ? null : new EarlierScore(
                (float) $handIn->run->was_awarded,
                (float) $handIn->run->was_possible,
            ),
            extension: $extensions->view($handIn->student),
            dueAt: $extensions->dueFor($handIn->student)?->toIso8601String(),
            timeZone: $handIn->assignment->course->time_zone,
            previousId: $nextUp->previous(),
            nextId: $nextUp->next(),
            place: $nextUp->place(),
            putBy: $handIn->put_by,
            mended: array_values($handIn->mendedCopies->map(fn (MendedCopy $copy) => $copy->path)->all()),
            stamp: DeskStamp::byOthers($handIn, NotifyOtherTabs::desk($request)),
            repliedAt: $handIn->reply?->released_at->toIso8601String(),
        );
    }

    /** Runs a check that broke off once more. */
    #[Status(202)]
    public function check(HandIn $handIn): void
    {
        $brief = $handIn->assignment()->firstOrFail()->brief()->first()
            ?? abort(409, 'The assignment has no brief yet. Once it has one, everything is checked.');
        DB::transaction(function () use ($handIn, $brief): void {
            $handIn->runs()->where('state', RunState::Failed)->update(['state' => RunState::Queued, 'trouble' => null]);
            CheckHandIn::request($handIn, $brief);
        });
    }

    /** This attempt is the one that counts, whatever came in time. */
    public function choose(HandIn $handIn): void
    {
        self::settle($handIn, true);
    }

    /** The last attempt in time counts again. */
    public function unchoose(HandIn $handIn): void
    {
        self::settle($handIn, false);
    }

    private static function settle(HandIn $handIn, bool $isChosen): void
    {
        DB::transaction(function () use ($handIn, $isChosen): void {
            Student::query()->whereKey($handIn->student_id)->lockForUpdate()->firstOrFail();
            HandIn::query()->where('assignment_id', $handIn->assignment_id)->where('student_id', $handIn->student_id)
                ->update(['chosen' => false]);
            HandIn::query()->whereKey($handIn->id)->update(['chosen' => $isChosen]);
            CountedAttempt::settle($handIn->assignment()->firstOrFail(), $handIn->student_id);
        });
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
        $outcomes = $handIn->run->outcomes ?? new Collection;
        $titles = [];
        foreach ($outcomes as $outcome) {
            $titles["id $outcome->requirement"] = $outcome->title;
        }
        $decisions = $handIn->remarks->whereNotNull('fingerprint')->keyBy('fingerprint')->toBase();
        $of = function (Outcome $outcome) use ($marks, $titles, $decisions, $handIn): DeskOutcome {
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
                $outcome->how,
                $mark?->reason,
                array_values(array_map(
                    fn (array $one) => new OutcomeShortfall(
                        $one['file'],
                        $one['line'],
                        $one['message'],
                        (float) ($one['cost'] ?? 0.0),
                        $one['finding'] ?? null,
                        isset($one['follows']) ? $titles["id {$one['follows']}"] ?? $one['follows'] : null,
                        $decisions->get($one['finding'] ?? '')?->kind->state() ?? 'pencilled',
                    ),
                    $outcome->shortfalls,
                )),
                OutcomeChoice::of($outcome),
                $handIn->assignment->leavesOut($outcome->requirement),
                $mark !== null && self::isOlder($mark, $outcome, $decisions),
            );
        };

        return array_values($outcomes->map($of)->all());
    }

    /**
     * Whether points were given by hand before one of the reasons below them was rubbed out.
     *
     * @param  Collection<array-key, Remark>  $decisions  by fingerprint
     */
    private static function isOlder(Mark $mark, Outcome $outcome, Collection $decisions): bool
    {
        foreach ($outcome->reasons() as $reason) {
            $decision = $decisions->get($reason->finding ?? '');
            if ($decision?->kind === RemarkKind::RubbedOut && $decision->updated_at > $mark->updated_at) {
                return true;
            }
        }

        return false;
    }
}
