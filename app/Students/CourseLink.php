<?php

declare(strict_types=1);

namespace App\Students;

use App\Models\Course;
use App\Models\Student;

/**
 * One link for a whole course, which asks for a handle: where a school wants it. Whoever has it and knows a handle
 * comes to the page of that student, so it is off until an instructor turns it on.
 */
final readonly class CourseLink
{
    /** Null where it is off. */
    public static function of(Course $course): ?string
    {
        return $course->link_seed === null
            ? null
            : config()->string('app.url').'/join/'.LinkToken::of(self::purpose($course), $course->link_seed);
    }

    /** Another one each time: the one before leads nowhere from then on. */
    public static function turnOn(Course $course): string
    {
        $course->update(LinkToken::another(self::purpose($course)));

        return (string) self::of($course);
    }

    public static function turnOff(Course $course): void
    {
        $course->update(['link_seed' => null, 'link_sha256' => null]);
    }

    /** Null for a link that leads nowhere. */
    public static function course(string $token): ?Course
    {
        return Course::query()->where('link_sha256', LinkToken::hash($token))->first();
    }

    /** Null where the course has nobody by that handle, however it is capitalised. */
    public static function student(Course $course, string $handle): ?Student
    {
        return $course->students()->whereRaw('lower(handle) = lower(?)', [trim($handle)])->first();
    }

    private static function purpose(Course $course): string
    {
        return "course link:$course->id";
    }
}
