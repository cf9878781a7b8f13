<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\Rosters\RosterEntry;
use App\Courses\Rosters\RosterState;

/** A line of a roster that was pasted or dropped, and what it comes to. */
final readonly class RosterLine
{
    public function __construct(
        public int $line,
        public string $name,
        public string $handle,
        public string $email,
        public string $group,
        public RosterState $state,
        /** what changes, or what is wrong */
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
