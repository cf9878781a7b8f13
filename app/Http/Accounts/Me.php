<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\SecondFactor;
use App\Models\User;

/** Who is logged in. */
final readonly class Me
{
    public function __construct(
        public string $id,
        public string $name,
        public string $email,
        /** of the IANA database, in which times are shown; null for that of the browser */
        public ?string $timeZone,
        /** whether the outbox is for them to read */
        public bool $keepsHouse,
        /** whether they may make and import courses */
        public bool $opensCourses,
        /** whether they log in with a code too */
        public bool $secondFactor,
        /** whether the installation demands that */
        public bool $secondFactorDemanded,
    ) {
    }

    public static function of(User $user): self
    {
        return new self(
            $user->id,
            $user->name,
            $user->email,
            $user->time_zone,
            $user->keeps_house,
            $user->mayOpenCourses(),
            SecondFactor::isOn($user),
            SecondFactor::isDemanded(),
        );
    }
}
