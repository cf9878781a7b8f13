<?php

declare(strict_types=1);

namespace App\Http\Grades;

use App\Grades\Term\CourseOfTime;
use App\Grades\Term\Term;
use App\Http\Shared\Controller;
use App\Models\Course;
use App\Models\Student;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** How a class came along over the term. */
final class TermController extends Controller
{
    #[OA\Get(
        path: '/api/courses/{course}/term',
        operationId: 'term',
        responses: [new OA\Response(response: 200, description: 'OK', content: new OA\JsonContent(ref: Term::class))],
    )]
    public function show(Course $course): JsonResponse
    {
        return response()->json((new CourseOfTime($course, null))->term());
    }

    /** The same, with one student beside the class. */
    #[OA\Get(
        path: '/api/students/{student}/term',
        operationId: 'studentTerm',
        responses: [new OA\Response(response: 200, description: 'OK', content: new OA\JsonContent(ref: Term::class))],
    )]
    public function student(Student $student): JsonResponse
    {
        return response()->json((new CourseOfTime($student->course()->firstOrFail(), $student))->term());
    }
}
