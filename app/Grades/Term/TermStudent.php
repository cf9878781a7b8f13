<?php

declare(strict_types=1);

namespace App\Grades\Term;

/** Somebody whose term can be looked at. */
final readonly class TermStudent
{
    public function __construct(
        public string $id,
        public string $name,
    ) {
    }
}
