<?php

declare(strict_types=1);

namespace App\Grades\Term;

/** How a class, and one of its students, came along over the assignments of a course. */
final readonly class Term
{
    /**
     * @param  list<TermWork>  $work  in the order of the course
     * @param  list<TermKind>  $kinds  the commonest first
     * @param  list<TermStudent>  $students
     */
    public function __construct(
        public string $course,
        public array $work,
        public array $kinds,
        public array $students,
    ) {
    }
}
