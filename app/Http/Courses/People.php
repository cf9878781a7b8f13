<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** Who sets and marks work in a course, and who was asked to. */
#[OA\Schema]
final readonly class People
{
    /**
     * @param  list<Person>  $people
     * @param  list<InvitationLine>  $invited
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: Person::class))]
        public array $people,
        #[OA\Property(type: 'array', items: new OA\Items(ref: InvitationLine::class))]
        public array $invited,
    ) {
    }
}
