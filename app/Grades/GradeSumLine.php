<?php

declare(strict_types=1);

namespace App\Grades;

/** A line of a sum of points. */
final readonly class GradeSumLine
{
    public function __construct(
        public string $title,
        /** below zero where they are taken off */
        public float $points,
        /** null where none can be had */
        public ?float $possible,
        /** how it came about */
        public string $how,
    ) {
    }
}
