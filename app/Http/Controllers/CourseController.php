<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\AssignmentLine;
use App\Http\Resources\CourseView;
use App\Http\Resources\StudentLine;
use App\Models\ArrivalState;
use App\Models\Assignment;
use App\Models\Course;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class CourseController extends Controller
{
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
        $students = $course->students()->get();
        $assignments = $course->assignments()->with('brief')->withCount([
            'handIns as handed_in' => fn (Builder $query) => $query->scopes('newest'),
            'handIns as replied' => fn (Builder $query) => $query->scopes('replied'),
            'arrivals as unmatched' => fn (Builder $query) => $query->where('state', ArrivalState::Unmatched),
        ])->get();

        return response()->json(new CourseView(
            $course->id,
            $course->title,
            $course->school,
            $course->term,
            (string) $user->roleIn($course->id),
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
            ))->all()),
            StudentLine::list($students),
        ));
    }
}
