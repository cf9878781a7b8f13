<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\CourseLink;
use App\Courses\PrivateLink;
use App\Http\Shared\Controller;
use App\Models\Course;
use Illuminate\Validation\ValidationException;

/** The one link of a course that asks for a handle. */
final class CourseLinkController extends Controller
{
    public function show(Course $course): CourseLinkView
    {
        return new CourseLinkView(CourseLink::of($course), $course->link_word);
    }

    /** Turns it on; or makes another where it is on. */
    public function store(CourseLinkRequest $request, Course $course): CourseLinkView
    {
        $word = $request->filled('word') ? $request->string('word')->toString() : null;

        return new CourseLinkView(CourseLink::turnOn($course, $word), $word);
    }

    public function destroy(Course $course): void
    {
        CourseLink::turnOff($course);
    }

    public function door(string $token): CourseDoor
    {
        $course = self::course($token);

        return new CourseDoor($course->title, $course->link_word !== null);
    }

    public function join(JoinRequest $request, string $token): MyLink
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

        return new MyLink(PrivateLink::of($student));
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
