<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\Rosters\RosterCsv;
use App\Courses\Rosters\RosterPlan;
use App\Http\Shared\Controller;
use App\Http\Shared\StudentLine;
use App\Http\Shared\Taken;
use App\Models\Course;
use App\Models\Student;
use App\Storage\Download;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class RosterController extends Controller
{
    /** What a roster would change. Nothing is kept. */
    #[OA\Post(
        path: '/api/courses/{course}/roster/preview',
        operationId: 'previewRoster',
        requestBody: new OA\RequestBody(content: [
            new OA\MediaType(mediaType: 'application/json', schema: new OA\Schema(ref: RosterRequest::class)),
            new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(properties: [
                new OA\Property(property: 'file', type: 'string', format: 'binary'),
            ])),
        ]),
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: RosterPreview::class),
        )],
    )]
    public function preview(RosterRequest $request, Course $course): JsonResponse
    {
        $text = $request->text();
        $roster = $request->roster($text);
        $columns = $request->columns($roster);
        $plan = new RosterPlan($course, $roster, $columns);
        $first = $roster->rows[0]->cells;

        return response()->json(new RosterPreview(
            $text,
            $columns->columns,
            array_map(fn (int $at) => Str::limit($first[$at] ?? '', 40), array_keys($columns->columns)),
            $columns->hasHeading,
            array_map(RosterLine::of(...), $plan->entries),
            StudentLine::list($plan->gone),
        ));
    }

    /** Keeps what a roster changes: all of it or nothing. */
    #[OA\Put(
        path: '/api/courses/{course}/roster',
        operationId: 'keepRoster',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: RosterRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'Kept',
            content: new OA\JsonContent(ref: Taken::class),
        )],
    )]
    public function update(RosterRequest $request, Course $course): JsonResponse
    {
        $roster = $request->roster($request->text());
        $plan = new RosterPlan($course, $roster, $request->columns($roster));

        try {
            return response()->json(new Taken($plan->keep($request->setAside())));
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages([
                'text' => 'Somebody else has changed the roster meanwhile. Nothing was changed; look at it again.',
            ]);
        }
    }

    #[OA\Get(
        path: '/api/courses/{course}/roster.csv',
        operationId: 'rosterAsCsv',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\MediaType(mediaType: 'text/csv'),
        )],
    )]
    public function csv(Course $course): Response
    {
        return Download::of(RosterCsv::of($course->students()->get()), 'text/csv; charset=utf-8', 'roster.csv');
    }

    #[OA\Post(
        path: '/api/courses/{course}/students',
        operationId: 'addStudent',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: StudentRequest::class)),
        responses: [new OA\Response(
            response: 201,
            description: 'Added',
            content: new OA\JsonContent(ref: RosterStudent::class),
        )],
    )]
    public function store(StudentRequest $request, Course $course): JsonResponse
    {
        return response()->json(RosterStudent::of($course->roster()->create($request->student())), 201);
    }

    /** Changes what the roster says of a student, sets them aside or takes them back. */
    #[OA\Put(
        path: '/api/students/{student}',
        operationId: 'changeStudent',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: StudentRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'Kept',
            content: new OA\JsonContent(ref: RosterStudent::class),
        )],
    )]
    public function change(StudentRequest $request, Student $student): JsonResponse
    {
        $student->update($request->student());

        return response()->json(RosterStudent::of($student));
    }
}
