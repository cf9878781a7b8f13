<?php

declare(strict_types=1);

namespace App\Http\Records;

use App\Description\InQuery;
use App\Description\Sends;
use App\Description\Status;
use App\Http\Shared\Controller;
use App\Http\Shared\DeleteRequest;
use App\Http\Shared\Made;
use App\Models\Course;
use App\Models\Student;
use App\Records\Forgetting;
use App\Records\OldCourse;
use App\Records\OldCourses;
use App\Records\PreparedRecords;
use App\Records\RecordsError;
use App\Records\RecordsReader;
use App\Records\RecordsState;
use App\Records\Scope;
use App\Storage\SharedDisk;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Everything of a course, or of one student, to be taken along; and brought in again, or deleted. */
final class RecordsController extends Controller
{
    public function show(Course $course): RecordsView
    {
        return self::progress(Scope::course($course));
    }

    /** Has them written. */
    #[Status(202)]
    public function write(Course $course): void
    {
        PreparedRecords::of(Scope::course($course))->ask();
    }

    #[Sends('application/zip')]
    public function file(Course $course): StreamedResponse
    {
        return self::zip(Scope::course($course));
    }

    public function showStudent(Student $student): RecordsView
    {
        return self::progress(Scope::student($student));
    }

    #[Status(202)]
    public function writeStudent(Student $student): void
    {
        PreparedRecords::of(Scope::student($student))->ask();
    }

    #[Sends('application/zip')]
    public function studentFile(Student $student): StreamedResponse
    {
        return self::zip(Scope::student($student));
    }

    /** Deletes all that is known of a student. */
    public function forget(DeleteRequest $request, Student $student): void
    {
        Forgetting::of($student);
    }

    /** Brings a course in that was written elsewhere. */
    #[Status(201)]
    public function read(RecordsRequest $request, RecordsReader $reader): Made
    {
        $file = $request->file('file');
        try {
            $course = $reader->read($file instanceof UploadedFile ? $file->getPathname() : '', self::user($request));
        } catch (RecordsError $error) {
            throw ValidationException::withMessages(['file' => $error->getMessage()]);
        }

        return new Made($course->id);
    }

    /**
     * Courses of one's own in which nothing has come in since a day.
     *
     * @return list<OldCourse>
     */
    #[InQuery('before', required: true)]
    public function old(Request $request): array
    {
        $request->validate(['before' => ['required', 'date_format:Y-m-d']], ['before.*' => 'Choose a day.']);
        $before = CarbonImmutable::parse($request->string('before')->toString());

        return OldCourses::of(self::user($request), $before);
    }

    private static function progress(Scope $scope): RecordsView
    {
        $told = PreparedRecords::of($scope)->progress();

        return new RecordsView($told['state'] ?? null, $told['done'] ?? 0, $told['of'] ?? 0);
    }

    private static function zip(Scope $scope): StreamedResponse
    {
        $prepared = PreparedRecords::of($scope);
        abort_if(
            ($prepared->progress()['state'] ?? null) !== RecordsState::Ready->value,
            404,
            'There are no records yet. Ask for them first.',
        );

        return SharedDisk::get()->download($prepared->path(), $scope->name().'.zip');
    }
}
