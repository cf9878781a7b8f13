<?php

declare(strict_types=1);

namespace App\Grades;

/** A piece of work in the sum of its part. */
final readonly class CountedWork
{
    public function __construct(
        public string $title,
        public ?float $percent,
        public float $weight,
        /** why it does not count; '' where it does */
        public string $why,
    ) {
    }
}
