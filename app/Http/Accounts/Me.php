<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\SecondFactor;
use App\Models\User;
use OpenApi\Attributes as OA;

/** Who is logged in. */
#[OA\Schema]
final readonly class Me
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property(description: 'of the IANA database, in which times are shown; null for that of the browser')]
        public ?string $timeZone,
        #[OA\Property(description: 'whether the outbox is for them to read')]
        public bool $keepsHouse,
        #[OA\Property(description: 'whether they may make and import courses')]
        public bool $opensCourses,
        #[OA\Property(description: 'whether they log in with a code too')]
        public bool $secondFactor,
        #[OA\Property(description: 'whether the installation demands that')]
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
