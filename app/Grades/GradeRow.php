<?php

declare(strict_types=1);

namespace App\Grades;

/** A student in a gradebook. */
final readonly class GradeRow
{
    /**
     * @param  list<GradeCell>  $cells  one for each column
     * @param  list<float|null>  $parts  percent in each part; null where nothing counts yet
     */
    public function __construct(
        public string $studentId,
        public string $name,
        public string $handle,
        public string $email,
        public string $group,
        public array $cells,
        public array $parts,
        /** in the course; null where nothing counts yet */
        public ?float $percent,
    ) {
    }
}
