<?php

declare(strict_types=1);

namespace App\Grades;

/** A part of a course's grade. */
final readonly class GradePartView
{
    public function __construct(
        /** '' for the one part of a course that has none of its own */
        public string $id,
        public string $title,
        /** among the parts */
        public float $weight,
        /** how many of the best pieces count; null for all of them */
        public ?int $best,
    ) {
    }
}
