<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\Rosters\RosterEntry;
use App\Courses\Rosters\RosterState;
use OpenApi\Attributes as OA;

/** A line of a roster that was pasted or dropped, and what it comes to. */
#[OA\Schema]
final readonly class RosterLine
{
    public function __construct(
        #[OA\Property]
        public int $line,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $handle,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public string $group,
        #[OA\Property(enum: RosterState::class)]
        public RosterState $state,
        #[OA\Property(description: 'what changes, or what is wrong')]
        public string $says,
    ) {
    }

    public static function of(RosterEntry $entry): self
    {
        return new self(
            $entry->line, $entry->name, $entry->handle, $entry->email, $entry->group, $entry->state, $entry->says,
        );
    }
}
