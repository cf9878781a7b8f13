<?php

declare(strict_types=1);

namespace App\Students;

use App\Models\Student;
use Illuminate\Support\Str;

/**
 * The link by which a student comes to their own page. It is made of a seed and the key of the application, so that it can
 * be told again, and the database, which has the seed and a hash, does not give it away.
 */
final readonly class PrivateLink
{
    /** @return string the address; one is made for a student that has none */
    public static function of(Student $student): string
    {
        if ($student->link_seed === null) {
            $seed = Str::random(40);
            $student->update(['link_seed' => $seed, 'link_sha256' => hash('sha256', self::token($student->id, $seed))]);
        }

        return config()->string('app.url').'/my/'.self::token($student->id, (string) $student->link_seed);
    }

    /** From then on the old one leads nowhere, and the next is another. */
    public static function revoke(Student $student): void
    {
        $student->update(['link_seed' => null, 'link_sha256' => null]);
    }

    /** Null for a link that leads nowhere: false, revoked, or of a student who left. */
    public static function student(string $token): ?Student
    {
        return Student::query()->where('link_sha256', hash('sha256', $token))->whereNull('set_aside_at')
            ->with('course')->first();
    }

    private static function token(string $studentId, string $seed): string
    {
        $bytes = hash_hmac('sha256', "student link:$studentId:$seed", config()->string('app.key'), true);

        return rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');
    }
}
