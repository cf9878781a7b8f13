<?php

declare(strict_types=1);

namespace App\Grades;

/** Everything that a student's grade in a course is made of: each number with its sum. */
final readonly class StudentGrades
{
    /**
     * @param  list<GradeSum>  $sums  one for each column
     * @param  list<PartSum>  $parts
     */
    public function __construct(
        public string $name,
        public array $sums,
        public array $parts,
        public ?float $percent,
        /** how the parts come together */
        public string $how,
    ) {
    }
}
