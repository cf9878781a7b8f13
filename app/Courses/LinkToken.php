<?php

declare(strict_types=1);

namespace App\Courses;

use Illuminate\Support\Str;

/**
 * What stands at the end of a link that lets somebody in. It is made of a seed and the key of the application, so that
 * it can be told again, and the database, which has the seed and a hash, does not give it away.
 */
final readonly class LinkToken
{
    /** @param  string  $purpose  with the id of what it opens, such as `course link:ID` */
    public static function of(string $purpose, string $seed): string
    {
        $bytes = hash_hmac('sha256', "$purpose:$seed", config()->string('app.key'), true);

        return rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');
    }

    /** @return array{link_seed: string, link_sha256: string} of another link, as the database keeps it */
    public static function another(string $purpose): array
    {
        $seed = Str::random(40);

        return ['link_seed' => $seed, 'link_sha256' => self::hash(self::of($purpose, $seed))];
    }

    public static function hash(string $token): string
    {
        return hash('sha256', $token);
    }
}
