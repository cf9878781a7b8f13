<?php

declare(strict_types=1);

namespace App\Http\Grades;

use App\Grades\CourseGrades;
use App\Grades\Gradebook;
use App\Grades\GradeSettings;
use App\Grades\GradeSums;
use App\Grades\GradeTable;
use App\Grades\ImportPreview;
use App\Grades\StudentGrades;
use App\Grades\WorkOfCourse;
use App\Http\Shared\Controller;
use App\Http\Shared\Taken;
use App\Models\Course;
use App\Models\OtherWork;
use App\Models\Student;
use App\Storage\Download;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** The work of a course side by side, with what it comes to. */
final class GradebookController extends Controller
{
    private const TYPES = [
        'csv' => 'text/csv; charset=utf-8',
        'xlsx' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'ods' => 'application/vnd.oasis.opendocument.spreadsheet',
    ];

    #[OA\Get(
        path: '/api/courses/{course}/gradebook',
        operationId: 'gradebook',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: Gradebook::class),
        )],
    )]
    public function show(Course $course): JsonResponse
    {
        return response()->json((new CourseGrades($course))->book());
    }

    /** How the work comes together. */
    #[OA\Put(
        path: '/api/courses/{course}/gradebook',
        operationId: 'setGradebook',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: GradeSettingsRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Kept')],
    )]
    public function update(GradeSettingsRequest $request, Course $course): Response
    {
        GradeSettings::keep($course, $request->parts(), $request->work());

        return response()->noContent();
    }

    #[OA\Get(
        path: '/api/courses/{course}/gradebook.{ending}',
        operationId: 'gradebookFile',
        parameters: [new OA\Parameter(
            name: 'bom',
            description: 'whether CSV begins with a byte order mark',
            in: 'query',
            schema: new OA\Schema(type: 'integer', enum: [0, 1]),
        )],
        responses: [new OA\Response(response: 200, description: 'As CSV, XLSX or an OpenDocument sheet')],
    )]
    public function file(Request $request, Course $course, string $ending): Response
    {
        $book = (new CourseGrades($course))->book();
        $bytes = match ($ending) {
            'xlsx', 'ods' => GradeTable::sheet($book, $ending),
            default => GradeTable::csv($book, $request->boolean('bom')),
        };

        $name = 'grades-'.(Str::slug($course->title) ?: 'course');

        return Download::of($bytes, self::TYPES[$ending] ?? self::TYPES['csv'], "$name.$ending");
    }

    /** The numbers of one student, opened to their sums. */
    #[OA\Get(
        path: '/api/students/{student}/grades',
        operationId: 'studentGrades',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: StudentGrades::class),
        )],
    )]
    public function student(Student $student): JsonResponse
    {
        return response()->json(GradeSums::of($student->course()->firstOrFail(), $student));
    }

    #[OA\Put(
        path: '/api/students/{student}/grades/{work}',
        operationId: 'giveGrade',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: GradeRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Kept')],
    )]
    public function give(GradeRequest $request, Student $student, string $work): Response
    {
        self::work($student, $work)->grade($student, ...[...$request->grade(), 'user' => self::user($request)->id]);

        return response()->noContent();
    }

    /** Leaves it to what the desk gives. */
    #[OA\Delete(
        path: '/api/students/{student}/grades/{work}',
        operationId: 'takeGradeBack',
        responses: [new OA\Response(response: 204, description: 'Taken back')],
    )]
    public function takeBack(Student $student, string $work): Response
    {
        self::work($student, $work)->forget($student);

        return response()->noContent();
    }

    /** What marks from elsewhere would change. Nothing is kept. */
    #[OA\Post(
        path: '/api/courses/{course}/marks/preview',
        operationId: 'previewMarks',
        requestBody: new OA\RequestBody(content: [
            new OA\MediaType(mediaType: 'application/json', schema: new OA\Schema(ref: GradeImportRequest::class)),
            new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(properties: [
                new OA\Property(property: 'file', type: 'string', format: 'binary'),
            ])),
        ]),
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: ImportPreview::class),
        )],
    )]
    public function preview(GradeImportRequest $request, Course $course): JsonResponse
    {
        return response()->json($request->marks($course)->preview());
    }

    /** Keeps marks from elsewhere: all that is taken or nothing. */
    #[OA\Post(
        path: '/api/courses/{course}/marks',
        operationId: 'takeMarks',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: GradeImportRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'Kept',
            content: new OA\JsonContent(ref: Taken::class),
        )],
    )]
    public function take(GradeImportRequest $request, Course $course): JsonResponse
    {
        $from = $request->string('from')->toString();

        return response()->json(
            new Taken($request->marks($course)->keep($request->columns(), $from, self::user($request)->id)),
        );
    }

    /** Work from elsewhere, with its marks. */
    #[OA\Delete(
        path: '/api/courses/{course}/marks/{work}',
        operationId: 'dropMarks',
        responses: [new OA\Response(response: 204, description: 'Gone')],
    )]
    public function drop(Course $course, string $work): Response
    {
        OtherWork::query()->where('course_id', $course->id)->whereKey($work)->firstOrFail()->delete();

        return response()->noContent();
    }

    private static function work(Student $student, string $work): WorkOfCourse
    {
        return WorkOfCourse::find($student->course_id, $work) ?? abort(404, 'There is no such work in this course.');
    }
}
