<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** A course: its assignments and its roster. */
#[OA\Schema]
final readonly class CourseView
{
    /**
     * @param  list<AssignmentLine>  $assignments
     * @param  list<RosterStudent>  $students
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $school,
        #[OA\Property]
        public string $term,
        #[OA\Property]
        public string $role,
        #[OA\Property(description: 'of the IANA database')]
        public string $timeZone,
        #[OA\Property(description: 'whether its term is over')]
        public bool $putAway,
        #[OA\Property(description: 'whether its assignments were put in order by hand')]
        public bool $ordered,
        #[OA\Property]
        public int $handIns,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AssignmentLine::class))]
        public array $assignments,
        #[OA\Property(
            description: 'all who are or were on it',
            type: 'array',
            items: new OA\Items(ref: RosterStudent::class),
        )]
        public array $students,
    ) {
    }
}
