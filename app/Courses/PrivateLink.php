<?php

declare(strict_types=1);

namespace App\Courses;

use App\Models\Student;

/** The link by which a student comes to their own page. */
final readonly class PrivateLink
{
    /** @return string the address; one is made for a student that has none */
    public static function of(Student $student): string
    {
        if ($student->link_seed === null) {
            $student->update(LinkToken::another(self::purpose($student)));
        }

        return config()->string('app.url').'/my/'.LinkToken::of(self::purpose($student), (string) $student->link_seed);
    }

    /** From then on the old one leads nowhere, and the next is another. */
    public static function revoke(Student $student): void
    {
        $student->update(['link_seed' => null, 'link_sha256' => null]);
    }

    /** Null for a link that leads nowhere: false, revoked, or of a student who left. */
    public static function student(string $token): ?Student
    {
        return Student::query()->where('link_sha256', LinkToken::hash($token))->whereNull('set_aside_at')
            ->with('course')->first();
    }

    private static function purpose(Student $student): string
    {
        return "student link:$student->id";
    }
}
