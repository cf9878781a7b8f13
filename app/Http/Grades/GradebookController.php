<?php

declare(strict_types=1);

namespace App\Http\Grades;

use App\Description\InQuery;
use App\Description\Sends;
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
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** The work of a course side by side, with what it comes to. */
final class GradebookController extends Controller
{
    private const TYPES = [
        'csv' => 'text/csv; charset=utf-8',
        'xlsx' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'ods' => 'application/vnd.oasis.opendocument.spreadsheet',
    ];

    public function show(Course $course): Gradebook
    {
        return (new CourseGrades($course))->book();
    }

    /** How the work comes together. */
    public function update(GradeSettingsRequest $request, Course $course): void
    {
        GradeSettings::keep($course, $request->parts(), $request->work());
    }

    #[InQuery('bom', 'integer')]
    #[Sends('text/csv')]
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
    public function student(Student $student): StudentGrades
    {
        return GradeSums::of($student->course()->firstOrFail(), $student);
    }

    public function give(GradeRequest $request, Student $student, string $work): void
    {
        self::work($student, $work)->grade($student, ...[...$request->grade(), 'user' => self::user($request)->id]);
    }

    /** Leaves it to what the desk gives. */
    public function takeBack(Student $student, string $work): void
    {
        self::work($student, $work)->forget($student);
    }

    /** What marks from elsewhere would change. Nothing is kept. */
    public function preview(GradeImportRequest $request, Course $course): ImportPreview
    {
        return $request->marks($course)->preview();
    }

    /** Keeps marks from elsewhere: all that is taken or nothing. */
    public function take(GradeImportRequest $request, Course $course): Taken
    {
        $from = $request->string('from')->toString();

        return new Taken($request->marks($course)->keep($request->columns(), $from, self::user($request)->id));
    }

    /** Work from elsewhere, with its marks. */
    public function drop(Course $course, string $work): void
    {
        OtherWork::query()->where('course_id', $course->id)->whereKey($work)->firstOrFail()->delete();
    }

    private static function work(Student $student, string $work): WorkOfCourse
    {
        return WorkOfCourse::find($student->course_id, $work) ?? abort(404, 'There is no such work in this course.');
    }
}
