<?php

declare(strict_types=1);

namespace App\Http\Records;

use App\Http\Shared\Controller;
use App\Http\Shared\DeleteRequest;
use App\Http\Shared\Made;
use App\Models\Course;
use App\Models\Student;
use App\Records\Forgetting;
use App\Records\OldCourse;
use App\Records\OldCourses;
use App\Records\Prepared;
use App\Records\RecordsError;
use App\Records\RecordsReader;
use App\Records\RecordsState;
use App\Records\Scope;
use App\Storage\SharedDisk;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Everything of a course, or of one student, to be taken along; and brought in again, or deleted. */
final class RecordsController extends Controller
{
    #[OA\Get(
        path: '/api/courses/{course}/records',
        operationId: 'records',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: RecordsView::class),
        )],
    )]
    public function show(Course $course): JsonResponse
    {
        return self::progress(Scope::course($course));
    }

    /** Has them written. */
    #[OA\Post(
        path: '/api/courses/{course}/records',
        operationId: 'writeRecords',
        responses: [new OA\Response(response: 202, description: 'They are being written')],
    )]
    public function write(Course $course): Response
    {
        Prepared::of(Scope::course($course))->ask();

        return response()->noContent(202);
    }

    #[OA\Get(
        path: '/api/courses/{course}/records.zip',
        operationId: 'recordsFile',
        responses: [new OA\Response(response: 200, description: 'A zip')],
    )]
    public function file(Course $course): StreamedResponse
    {
        return self::zip(Scope::course($course));
    }

    #[OA\Get(
        path: '/api/students/{student}/records',
        operationId: 'studentRecords',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: RecordsView::class),
        )],
    )]
    public function showStudent(Student $student): JsonResponse
    {
        return self::progress(Scope::student($student));
    }

    #[OA\Post(
        path: '/api/students/{student}/records',
        operationId: 'writeStudentRecords',
        responses: [new OA\Response(response: 202, description: 'They are being written')],
    )]
    public function writeStudent(Student $student): Response
    {
        Prepared::of(Scope::student($student))->ask();

        return response()->noContent(202);
    }

    #[OA\Get(
        path: '/api/students/{student}/records.zip',
        operationId: 'studentRecordsFile',
        responses: [new OA\Response(response: 200, description: 'A zip')],
    )]
    public function studentFile(Student $student): StreamedResponse
    {
        return self::zip(Scope::student($student));
    }

    /** Deletes all that is known of a student. */
    #[OA\Delete(
        path: '/api/students/{student}',
        operationId: 'forgetStudent',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: DeleteRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Gone')],
    )]
    public function forget(DeleteRequest $request, Student $student): Response
    {
        Forgetting::of($student);

        return response()->noContent();
    }

    /** Brings a course in that was written elsewhere. */
    #[OA\Post(
        path: '/api/records',
        operationId: 'readRecords',
        requestBody: new OA\RequestBody(content: new OA\MediaType(
            mediaType: 'multipart/form-data',
            schema: new OA\Schema(properties: [
                new OA\Property(property: 'file', type: 'string', format: 'binary'),
            ]),
        )),
        responses: [new OA\Response(
            response: 201,
            description: 'It is here',
            content: new OA\JsonContent(ref: Made::class),
        )],
    )]
    public function read(RecordsRequest $request, RecordsReader $reader): JsonResponse
    {
        $file = $request->file('file');
        try {
            $course = $reader->read($file instanceof UploadedFile ? $file->getPathname() : '', self::user($request));
        } catch (RecordsError $error) {
            throw ValidationException::withMessages(['file' => $error->getMessage()]);
        }

        return response()->json(new Made($course->id), 201);
    }

    /** Courses of one's own in which nothing has come in since a day. */
    #[OA\Get(
        path: '/api/old-courses',
        operationId: 'oldCourses',
        parameters: [new OA\Parameter(
            name: 'before',
            in: 'query',
            required: true,
            schema: new OA\Schema(type: 'string', format: 'date'),
        )],
        responses: [new OA\Response(
            response: 200,
            description: 'The oldest first',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: OldCourse::class)),
        )],
    )]
    public function old(Request $request): JsonResponse
    {
        $request->validate(['before' => ['required', 'date_format:Y-m-d']], ['before.*' => 'Choose a day.']);
        $before = CarbonImmutable::parse($request->string('before')->toString());

        return response()->json(OldCourses::of(self::user($request), $before));
    }

    private static function progress(Scope $scope): JsonResponse
    {
        $told = Prepared::of($scope)->progress();

        return response()->json(new RecordsView($told['state'] ?? null, $told['done'] ?? 0, $told['of'] ?? 0));
    }

    private static function zip(Scope $scope): StreamedResponse
    {
        $prepared = Prepared::of($scope);
        abort_if(
            ($prepared->progress()['state'] ?? null) !== RecordsState::Ready->value,
            404,
            'There are no records yet. Ask for them first.',
        );

        return SharedDisk::get()->download($prepared->path(), $scope->name().'.zip');
    }
}
