<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\CarryOver;
use App\Courses\Extensions;
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
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;
use Spatie\Activitylog\Models\Activity;

final class CourseController extends Controller
{
    private const MOST_DEEDS = 200;

    #[OA\Get(
        path: '/api/courses/{course}',
        operationId: 'course',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: CourseView::class),
        )],
    )]
    public function show(Request $request, Course $course): JsonResponse
    {
        $user = self::user($request);
        $roster = $course->roster()->get();
        $students = $roster->whereNull('set_aside_at');
        $assignments = $course->assignments()->with('brief')->withCount([
            'handIns as handed_in' => fn (Builder $query) => $query->scopes('counting'),
            'handIns as replied' => fn (Builder $query) => $query->scopes('replied'),
            'arrivals as unmatched' => fn (Builder $query) => $query->where('state', ArrivalState::Unmatched),
        ])->get();

        return response()->json(new CourseView(
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
        ));
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

    /** What was done to it, the last first. */
    #[OA\Get(
        path: '/api/courses/{course}/deeds',
        operationId: 'deeds',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: DeedLine::class)),
        )],
    )]
    public function deeds(Course $course): JsonResponse
    {
        $deeds = Activity::query()->forSubject($course)->with('causer')->latest('id')->limit(self::MOST_DEEDS)->get();

        return response()->json($deeds->map(fn (Activity $deed) => new DeedLine(
            (string) $deed->created_at?->toIso8601String(),
            $deed->causer instanceof User ? $deed->causer->name : 'somebody',
            $deed->description,
        ))->values());
    }

    #[OA\Post(
        path: '/api/courses',
        operationId: 'makeCourse',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: CourseRequest::class)),
        responses: [new OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: Made::class))],
    )]
    public function store(CourseRequest $request): JsonResponse
    {
        $course = DB::transaction(function () use ($request): Course {
            $course = Course::query()->create($request->course());
            $course->users()->attach(self::user($request), ['role' => 'instructor']);

            return $course;
        });

        return response()->json(new Made($course->id), 201);
    }

    #[OA\Put(
        path: '/api/courses/{course}',
        operationId: 'changeCourse',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: CourseRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Kept')],
    )]
    public function update(CourseRequest $request, Course $course): Response
    {
        $course->update($request->course());

        return response()->noContent();
    }

    /** Its term is over: it stands apart on the shelf, and nothing in it waits. */
    #[OA\Put(
        path: '/api/courses/{course}/put-away',
        operationId: 'putCourseAway',
        responses: [new OA\Response(response: 204, description: 'Put away')],
    )]
    public function putAway(Course $course): Response
    {
        $course->update(['put_away_at' => $course->put_away_at ?? now()]);

        return response()->noContent();
    }

    #[OA\Delete(
        path: '/api/courses/{course}/put-away',
        operationId: 'bringCourseBack',
        responses: [new OA\Response(response: 204, description: 'Back on the shelf')],
    )]
    public function bringBack(Course $course): Response
    {
        $course->update(['put_away_at' => null]);

        return response()->noContent();
    }

    /** Puts its assignments in an order; none named puts them back in that of their due times. */
    #[OA\Put(
        path: '/api/courses/{course}/order',
        operationId: 'orderAssignments',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: OrderRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Kept')],
    )]
    public function order(OrderRequest $request, Course $course): Response
    {
        DB::transaction(function () use ($request, $course): void {
            Course::query()->whereKey($course->id)->lockForUpdate()->firstOrFail();
            $course->assignments()->reorder()->update(['position' => null]);
            foreach ($request->ids() as $position => $id) {
                $course->assignments()->reorder()->whereKey($id)->update(['position' => $position]);
            }
        });

        return response()->noContent();
    }

    /** A course for a new term, with the work of this one. */
    #[OA\Post(
        path: '/api/courses/{course}/carry-over',
        operationId: 'carryCourseOver',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: CarryOverRequest::class)),
        responses: [new OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: Made::class))],
    )]
    public function carryOver(CarryOverRequest $request, Course $course): JsonResponse
    {
        $made = CarryOver::of(
            $course,
            $request->string('title')->trim()->toString(),
            $request->string('term')->trim()->toString(),
            $request->integer('weeks'),
        );

        return response()->json(new Made($made->id), 201);
    }

    /** With its assignments, students, hand-ins and replies. */
    #[OA\Delete(
        path: '/api/courses/{course}',
        operationId: 'deleteCourse',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: DeleteRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Gone')],
    )]
    public function destroy(DeleteRequest $request, Course $course): Response
    {
        $course->delete();

        return response()->noContent();
    }
}
