<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\PrivateLink;
use App\Http\Shared\Controller;
use App\Mail\OwnPage;
use App\Models\Course;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/** The private links of a course's students. */
final class StudentLinkController extends Controller
{
    /**
     * All links, made where there is none: to be printed, or told one by one.
     *
     * @return list<StudentLink>
     */
    public function index(Course $course): array
    {
        $links = DB::transaction(fn () => $course->students()->get()->map(fn (Student $student) => new StudentLink(
            $student->id,
            $student->name,
            $student->handle,
            $student->email,
            PrivateLink::of($student),
        )));

        return array_values($links->all());
    }

    /** A letter with their link to each student whose address is known. */
    public function send(Course $course): LettersSent
    {
        $students = $course->students()->get()->each(fn (Student $student) => $student->setRelation('course', $course));
        $reachable = $students->filter(fn (Student $student) => $student->email !== '');
        $others = $students->diff($reachable);
        foreach ($reachable as $student) {
            Mail::to($student->email)->send(new OwnPage($student, PrivateLink::of($student)));
        }

        return new LettersSent(
            $reachable->count(),
            array_values($others->map(fn (Student $student) => $student->name)->all()),
        );
    }

    /** The link of one student leads nowhere any more. */
    public function destroy(Student $student): void
    {
        PrivateLink::revoke($student);
    }
}
