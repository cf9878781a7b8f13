<?php

declare(strict_types=1);

namespace App\Grades;

/** The sum behind what a student has in one part of a course. */
final readonly class PartSum
{
    /** @param  list<CountedWork>  $pieces */
    public function __construct(
        public string $title,
        public float $weight,
        public ?float $percent,
        public string $how,
        public array $pieces,
    ) {
    }
}
