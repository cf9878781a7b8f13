<?php

declare(strict_types=1);

namespace App\Grades;

/** A course's work side by side: its students down, its assignments and work from elsewhere across. */
final readonly class Gradebook
{
    /**
     * @param  list<GradePartView>  $parts  one at least
     * @param  list<GradeColumn>  $columns
     * @param  list<GradeRow>  $rows
     */
    public function __construct(
        public string $course,
        public array $parts,
        public array $columns,
        public array $rows,
    ) {
    }
}
