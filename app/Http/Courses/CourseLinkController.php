<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\CourseLink;
use App\Courses\PrivateLink;
use App\Http\Shared\Controller;
use App\Models\Course;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** The one link of a course that asks for a handle. */
final class CourseLinkController extends Controller
{
    #[OA\Get(
        path: '/api/courses/{course}/link',
        operationId: 'courseLink',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: CourseLinkView::class),
        )],
    )]
    public function show(Course $course): JsonResponse
    {
        return response()->json(new CourseLinkView(CourseLink::of($course), $course->link_word));
    }

    /** Turns it on; or makes another where it is on. */
    #[OA\Put(
        path: '/api/courses/{course}/link',
        operationId: 'turnCourseLinkOn',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: CourseLinkRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'On',
            content: new OA\JsonContent(ref: CourseLinkView::class),
        )],
    )]
    public function store(CourseLinkRequest $request, Course $course): JsonResponse
    {
        $word = $request->filled('word') ? $request->string('word')->toString() : null;

        return response()->json(new CourseLinkView(CourseLink::turnOn($course, $word), $word));
    }

    #[OA\Delete(
        path: '/api/courses/{course}/link',
        operationId: 'turnCourseLinkOff',
        responses: [new OA\Response(response: 204, description: 'Off')],
    )]
    public function destroy(Course $course): Response
    {
        CourseLink::turnOff($course);

        return response()->noContent();
    }

    #[OA\Get(
        path: '/api/join/{token}',
        operationId: 'courseDoor',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: CourseDoor::class),
        )],
    )]
    public function door(string $token): JsonResponse
    {
        $course = self::course($token);

        return response()->json(new CourseDoor($course->title, $course->link_word !== null));
    }

    #[OA\Post(
        path: '/api/join/{token}',
        operationId: 'join',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: JoinRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'The student’s own page',
            content: new OA\JsonContent(ref: MyLink::class),
        )],
    )]
    public function join(JoinRequest $request, string $token): JsonResponse
    {
        $course = self::course($token);
        $student = CourseLink::student($course, $request->string('handle')->toString());
        $isWord = CourseLink::isWord($course, $request->string('word')->toString());
        if ($student === null || ! $isWord) {
            // Which of the two is wrong would help whoever guesses.
            throw ValidationException::withMessages(['handle' => $course->link_word === null
                ? 'Nobody in this course has that handle. Is it spelled as your school spells it?'
                : 'That handle and word do not belong together. Ask your instructor for the word of the course.']);
        }

        return response()->json(new MyLink(PrivateLink::of($student)));
    }

    private static function course(string $token): Course
    {
        $course = CourseLink::course($token);
        abort_if(
            $course === null,
            404,
            'There is no course behind this link any more. Ask your instructor for the one that works.',
        );

        return $course;
    }
}
