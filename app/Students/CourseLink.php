<?php

declare(strict_types=1);

namespace App\Students;

use App\Models\Course;
use App\Models\Student;
use Illuminate\Support\Str;

/**
 * One link for a whole course, which asks for a handle: where a school wants it. Whoever has it and knows a handle comes to the
 * page of that student, so it is off until an instructor turns it on.
 */
final readonly class CourseLink
{
    /** Null where it is off. */
    public static function of(Course $course): ?string
    {
        return $course->link_seed === null ? null : config()->string('app.url').'/join/'.self::token($course->id, $course->link_seed);
    }

    /** Another one each time: the one before leads nowhere from then on. */
    public static function turnOn(Course $course): string
    {
        $seed = Str::random(40);
        $course->update(['link_seed' => $seed, 'link_sha256' => hash('sha256', self::token($course->id, $seed))]);

        return (string) self::of($course);
    }

    public static function turnOff(Course $course): void
    {
        $course->update(['link_seed' => null, 'link_sha256' => null]);
    }

    /** Null for a link that leads nowhere. */
    public static function course(string $token): ?Course
    {
        return Course::query()->where('link_sha256', hash('sha256', $token))->first();
    }

    /** Null where the course has nobody by that handle, however it is capitalised. */
    public static function student(Course $course, string $handle): ?Student
    {
        return $course->students()->whereRaw('lower(handle) = lower(?)', [trim($handle)])->first();
    }

    private static function token(string $courseId, string $seed): string
    {
        $bytes = hash_hmac('sha256', "course link:$courseId:$seed", config()->string('app.key'), true);

        return rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');
    }
}
