<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\CarryOver;
use App\Courses\Extensions;
use App\Description\Status;
use App\Http\Shared\Controller;
use App\Http\Shared\DeleteRequest;
use App\Http\Shared\Made;
use App\Models\ArrivalState;
use App\Models\Assignment;
use App\Models\Course;
use App\Models\HandIn;
use App\Models\Student;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Spatie\Activitylog\Models\Activity;

final class CourseController extends Controller
{
    private const MAX_ACTIVITIES = 200;

    public function show(Request $request, Course $course): CourseView
    {
        $user = self::user($request);
        $roster = $course->roster()->get();
        $students = $roster->whereNull('set_aside_at');
        $assignments = $course->assignments()->with('brief')->withCount([
            'handIns as handed_in' => fn (Builder $query) => $query->scopes('counting'),
            'handIns as replied' => fn (Builder $query) => $query->scopes('replied'),
            'arrivals as unmatched' => fn (Builder $query) => $query->where('state', ArrivalState::Unmatched),
        ])->get();

        return new CourseView(
            $course->id,
            $course->title,
            $course->school,
            $course->term,
            (string) $user->roleIn($course->id),
            $course->time_zone,
            $course->put_away_at !== null,
            $assignments->contains(fn (Assignment $assignment) => $assignment->position !== null),
            HandIn::query()->whereIn('assignment_id', $assignments->modelKeys())->count(),
            array_values($assignments->map(fn (Assignment $assignment) => new AssignmentLine(
                $assignment->id,
                $assignment->title,
                $assignment->summary,
                $assignment->due_at?->toIso8601String(),
                $students->count(),
                $assignment->handed_in,
                $assignment->replied,
                $assignment->unmatched,
                $assignment->brief !== null,
                $assignment->closed_at !== null,
            ))->all()),
            self::roster($roster, $assignments->each(fn (Assignment $one) => $one->setRelation('course', $course))),
        );
    }

    /**
     * @param  Collection<int, Student>  $roster
     * @param  Collection<int, Assignment>  $assignments
     * @return list<RosterStudent>
     */
    private static function roster(Collection $roster, Collection $assignments): array
    {
        $extensions = Extensions::ofAll($assignments);
        $of = function (Student $student) use ($assignments, $extensions): array {
            $own = [];
            foreach ($assignments as $work) {
                $view = ($extensions[$work->id] ?? null)?->view($student);
                if ($view !== null) {
                    $own[] = new StudentExtension($work->id, $work->title, $view);
                }
            }

            return $own;
        };

        return array_values($roster->map(
            fn (Student $one) => RosterStudent::of($one, $extensions === [] ? [] : $of($one)),
        )->all());
    }

    /**
     * What was done to it, the last first.
     *
     * @return list<ActivityLine>
     */
    public function activities(Course $course): array
    {
        $activities = Activity::query()->forSubject($course)->with('causer')
            ->latest('id')->limit(self::MAX_ACTIVITIES)->get();

        return array_values($activities->map(fn (Activity $activity) => new ActivityLine(
            (string) $activity->created_at?->toIso8601String(),
            $activity->causer instanceof User ? $activity->causer->name : 'somebody',
            $activity->description,
        ))->all());
    }

    #[Status(201)]
    public function store(CourseRequest $request): Made
    {
        $course = DB::transaction(function () use ($request): Course {
            $course = Course::query()->create($request->course());
            $course->users()->attach(self::user($request), ['role' => 'instructor']);

            return $course;
        });

        return new Made($course->id);
    }

    public function update(CourseRequest $request, Course $course): void
    {
        $course->update($request->course());
    }

    /** Its term is over: it stands apart on the shelf, and nothing in it waits. */
    public function archive(Course $course): void
    {
        $course->update(['put_away_at' => $course->put_away_at ?? now()]);
    }

    public function restore(Course $course): void
    {
        $course->update(['put_away_at' => null]);
    }

    /** Puts its assignments in an order; none named puts them back in that of their due times. */
    public function order(OrderRequest $request, Course $course): void
    {
        DB::transaction(function () use ($request, $course): void {
            Course::query()->whereKey($course->id)->lockForUpdate()->firstOrFail();
            $course->assignments()->reorder()->update(['position' => null]);
            foreach ($request->ids() as $position => $id) {
                $course->assignments()->reorder()->whereKey($id)->update(['position' => $position]);
            }
        });
    }

    /** A course for a new term, with the work of this one. */
    #[Status(201)]
    public function carryOver(CarryOverRequest $request, Course $course): Made
    {
        $made = CarryOver::of(
            $course,
            $request->string('title')->trim()->toString(),
            $request->string('term')->trim()->toString(),
            $request->integer('weeks'),
        );

        return new Made($made->id);
    }

    /** With its assignments, students, hand-ins and replies. */
    public function destroy(DeleteRequest $request, Course $course): void
    {
        $course->delete();
    }
}
