<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Models\Invitation;

/** Somebody who was asked and has not accepted yet. */
final readonly class InvitationLine
{
    /** @param  'instructor'|'marker'  $role */
    public function __construct(
        public string $id,
        public string $email,
        public string $role,
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
