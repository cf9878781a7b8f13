<?php

declare(strict_types=1);

namespace App\Courses;

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

    /**
     * Another one each time: the one before leads nowhere from then on.
     *
     * @param  string|null  $word  that students enter besides their handle; null if there is none
     */
    public static function turnOn(Course $course, ?string $word): string
    {
        $course->update(['link_word' => $word] + LinkToken::another(self::purpose($course)));

        return (string) self::of($course);
    }

    public static function turnOff(Course $course): void
    {
        $course->update(['link_seed' => null, 'link_sha256' => null, 'link_word' => null]);
    }

    /** Whether it is the word of the course: however it is capitalised, and with whatever spaces around it. */
    public static function isWord(Course $course, string $word): bool
    {
        $plain = fn (string $text): string => mb_strtolower(trim($text));

        return $course->link_word === null || hash_equals($plain($course->link_word), $plain($word));
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
