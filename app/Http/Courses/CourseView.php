<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** A course: its assignments and its roster. */
final readonly class CourseView
{
    /**
     * @param  list<AssignmentLine>  $assignments
     * @param  list<RosterStudent>  $students  all who are or were on it
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $school,
        public string $term,
        public string $role,
        /** of the IANA database */
        public string $timeZone,
        /** whether its term is over */
        public bool $archived,
        /** whether its assignments were put in order by hand */
        public bool $ordered,
        public int $handIns,
        public array $assignments,
        public array $students,
    ) {
    }
}
