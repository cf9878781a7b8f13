<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Models\Invitation;
use OpenApi\Attributes as OA;

/** Somebody who was asked and has not accepted yet. */
#[OA\Schema]
final readonly class InvitationLine
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $email,
        #[OA\Property(enum: ['instructor', 'marker'])]
        public string $role,
        #[OA\Property]
        public string $until,
    ) {
    }

    public static function of(Invitation $invitation): self
    {
        return new self(
            $invitation->id,
            $invitation->email,
            $invitation->role,
            $invitation->expires_at->toIso8601String(),
        );
    }
}
