<?php

declare(strict_types=1);

namespace App\Grades\Term;

/** An assignment in a course of time: percent of what could be had. */
final readonly class TermWork
{
    public function __construct(
        public string $id,
        public string $title,
        /** hand-ins with points */
        public int $handIns,
        /** a quarter of the class has less; null where nobody has points */
        public ?float $low,
        /** the median of the class */
        public ?float $middle,
        /** a quarter of the class has more */
        public ?float $high,
        /** of the student who was asked for; null where there is none */
        public ?float $own,
    ) {
    }
}
