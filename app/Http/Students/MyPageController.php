<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Checks\MyCheck;
use App\Courses\OwnDueTimes;
use App\Courses\PrivateLink;
use App\Description\Sends;
use App\Http\Middleware\Throttles;
use App\Http\Shared\BriefView;
use App\Http\Shared\Controller;
use App\Intake\Attempts;
use App\Intake\HandingIn;
use App\Models\ArrivalState;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\MaterialRole;
use App\Models\RunState;
use App\Models\Student;
use App\Models\StudentsSee;
use App\Replies\ReplyContent;
use App\Sites\SiteFiles;
use App\Sites\SitePlace;
use App\Storage\Download;
use App\Storage\SiteZip;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** What a student finds on their own page. Nothing in it is about anybody else. */
final class MyPageController extends Controller
{
    public const NO_LINK = 'There is no page behind this link any more. Ask your instructor for the one that works.';

    public function show(string $token): MyPage
    {
        $student = self::student($token);
        $handIns = $student->handIns()->withCount('replies')->get()->groupBy('assignment_id');
        $own = OwnDueTimes::of($student);
        $work = $student->course->assignments()->get()->map(fn (Assignment $assignment) => new MyWork(
            $assignment->id,
            $assignment->title,
            ($own[$assignment->id] ?? $assignment->due_at)?->toIso8601String(),
            $assignment->closed_at !== null,
            $handIns->get($assignment->id)?->count() ?? 0,
            $handIns->get($assignment->id)?->contains(fn (HandIn $one) => $one->replies_count > 0) ?? false,
        ));

        return new MyPage(
            $student->name,
            $student->course->title,
            $student->course->school,
            now()->toIso8601String(),
            array_values($work->all()),
        );
    }

    public function assignment(string $token, string $assignment): MyAssignment
    {
        $student = self::student($token);
        $work = self::work($student, $assignment);
        // Read before the attempts: a hand-in that is filed in between shows up twice rather than not at all.
        $coming = array_values($work->arrivals()->where('student_id', $student->id)->whereNotNull('address')
            ->whereIn('state', [ArrivalState::Waiting, ArrivalState::Refused])->latest('arrived_at')->limit(5)->get()
            ->map(MyArrival::of(...))->all());
        $handing = HandingIn::of($work, $student);
        $brief = $work->brief()->first();
        $view = $brief === null ? null : BriefView::of($brief);

        return new MyAssignment(
            $work->id,
            $work->title,
            $work->summary,
            $student->name,
            $student->course->title,
            $handing->due?->toIso8601String(),
            $student->course->time_zone,
            $handing->lateFrom?->toIso8601String(),
            now()->toIso8601String(),
            $handing->refusal(),
            $handing->isLate(),
            $brief === null ? StudentsSee::Nothing : $handing->sees(),
            $work->most_attempts,
            $work->files()->where('role', MaterialRole::Starter)->exists(),
            $view->requirements ?? [],
            $view->marking ?? [],
            Attempts::of($student, $work, $handing->sees()),
            $coming,
        );
    }

    /** The files that students begin from. */
    #[Sends('application/zip')]
    public function starter(string $token, string $assignment, SiteFiles $files): Response
    {
        $work = self::work(self::student($token), $assignment);
        $place = SitePlace::given($work->id, MaterialRole::Starter->value);
        $site = $place === null ? null : $files->all($place);
        abort_if($site === null, 404, 'There are no starter files.');
        $name = Str::slug($work->title) ?: 'starter';

        return Download::of(SiteZip::of($site, $name), 'application/zip', "$name.zip");
    }

    /** What the check says of an attempt, as far as it is shown now. */
    public function check(string $token, string $handIn): MyCheck
    {
        $student = self::student($token);
        $mine = self::mine($student, $handIn)->load(['run.outcomes', 'run.findings', 'assignment']);
        $sees = HandingIn::of($mine->assignment, $student)->sees();
        abort_if($mine->run?->state !== RunState::Finished, 409, 'The check is not done yet.');
        $sentences = [];
        foreach ($mine->run->brief()->firstOrFail()->read()->requirements as $one) {
            $sentences[$one->terms->id] = $one->sentence();
        }

        return MyCheck::of($mine->run->outcomes, $mine->run->findings, $sentences, $sees);
    }

    /** The reply that stands: the last that was released. */
    public function reply(string $token, string $handIn): ReplyContent
    {
        $reply = self::mine(self::student($token), $handIn)->reply()->first();
        abort_if($reply === null, 404, 'There is no reply yet.');

        return ReplyContent::fromArray($reply->content);
    }

    public static function student(string $token): Student
    {
        $known = request()->attributes->get(Throttles::BEHIND_LINK);
        $student = $known instanceof Student ? $known : PrivateLink::student($token);
        abort_if($student === null, 404, self::NO_LINK);

        return $student;
    }

    public static function work(Student $student, string $id): Assignment
    {
        $work = $student->course->assignments()->find($id);
        abort_unless($work instanceof Assignment, 404, 'There is no such work in your course.');

        return $work;
    }

    private static function mine(Student $student, string $id): HandIn
    {
        $mine = $student->handIns()->find($id);
        abort_unless($mine instanceof HandIn, 404, 'There is no such hand-in of yours.');

        return $mine;
    }
}
