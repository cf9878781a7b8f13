<?php

declare(strict_types=1);

namespace App\Courses\Rosters;

/** A student as a line of a roster has them, and what it comes to. */
final readonly class RosterEntry
{
    /**
     * @param  string|null  $studentId  whom it is about; null for somebody new
     * @param  string  $says  what changes, or what is wrong, in words
     */
    public function __construct(
        public int $line,
        public string $name,
        public string $handle,
        public string $email,
        public string $group,
        public RosterState $state,
        public ?string $studentId = null,
        public string $says = '',
    ) {
    }

    /** @return array{name: string, handle: string, email: string, group: string} as the database keeps them */
    public function fields(): array
    {
        return ['name' => $this->name, 'handle' => $this->handle, 'email' => $this->email, 'group' => $this->group];
    }
}
