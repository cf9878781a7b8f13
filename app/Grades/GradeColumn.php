<?php

declare(strict_types=1);

namespace App\Grades;

/** A piece of work in a gradebook. */
final readonly class GradeColumn
{
    public function __construct(
        public string $id,
        public string $title,
        /** false for marks that were carried over from elsewhere */
        public bool $isAssignment,
        /** points; null where no brief says so */
        public ?float $possible,
        /** the id of its part; null for the first one */
        public ?string $part,
        /** among the pieces of its part */
        public float $weight,
        /** whether what did not come is missing */
        public bool $isOver,
        /** whether it has a due time */
        public bool $isDated,
    ) {
    }
}
