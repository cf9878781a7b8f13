<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** Who sets and marks work in a course, and who was asked to. */
final readonly class People
{
    /**
     * @param  list<Person>  $people
     * @param  list<InvitationLine>  $invited
     */
    public function __construct(
        public array $people,
        public array $invited,
    ) {
    }
}
