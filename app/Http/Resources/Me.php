<?php

declare(strict_types=1);

namespace App\Http\Resources;

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
    ) {
    }

    public static function of(User $user): self
    {
        return new self($user->id, $user->name, $user->email, $user->time_zone, $user->keeps_house);
    }
}
