<?php

declare(strict_types=1);

namespace App\Http\Grades;

use App\Grades\Term\CourseOfTime;
use App\Grades\Term\Term;
use App\Http\Shared\Controller;
use App\Models\Course;
use App\Models\Student;

/** How a class came along over the term. */
final class TermController extends Controller
{
    public function show(Course $course): Term
    {
        return (new CourseOfTime($course, null))->term();
    }

    /** The same, with one student beside the class. */
    public function student(Student $student): Term
    {
        return (new CourseOfTime($student->course()->firstOrFail(), $student))->term();
    }
}
