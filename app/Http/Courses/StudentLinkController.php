<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\PrivateLink;
use App\Http\Shared\Controller;
use App\Mail\OwnPage;
use App\Models\Course;
use App\Models\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use OpenApi\Attributes as OA;

/** The private links of a course's students. */
final class StudentLinkController extends Controller
{
    /** All links, made where there is none: to be printed, or told one by one. */
    #[OA\Post(
        path: '/api/courses/{course}/student-links',
        operationId: 'studentLinks',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StudentLink::class)),
        )],
    )]
    public function index(Course $course): JsonResponse
    {
        $links = DB::transaction(fn () => $course->students()->get()->map(fn (Student $student) => new StudentLink(
            $student->id,
            $student->name,
            $student->handle,
            $student->email,
            PrivateLink::of($student),
        )));

        return response()->json($links->values());
    }

    /** A letter with their link to each student whose address is known. */
    #[OA\Post(
        path: '/api/courses/{course}/student-links/letters',
        operationId: 'sendStudentLinks',
        responses: [new OA\Response(
            response: 200,
            description: 'On their way',
            content: new OA\JsonContent(ref: LettersSent::class),
        )],
    )]
    public function send(Course $course): JsonResponse
    {
        $students = $course->students()->get()->each(fn (Student $student) => $student->setRelation('course', $course));
        $reachable = $students->filter(fn (Student $student) => $student->email !== '');
        $others = $students->diff($reachable);
        foreach ($reachable as $student) {
            Mail::to($student->email)->send(new OwnPage($student, PrivateLink::of($student)));
        }

        return response()->json(new LettersSent(
            $reachable->count(),
            array_values($others->map(fn (Student $student) => $student->name)->all()),
        ));
    }

    /** The link of one student leads nowhere any more. */
    #[OA\Delete(
        path: '/api/students/{student}/link',
        operationId: 'revokeStudentLink',
        responses: [new OA\Response(response: 204, description: 'Gone')],
    )]
    public function destroy(Student $student): Response
    {
        PrivateLink::revoke($student);

        return response()->noContent();
    }
}
