<?php

declare(strict_types=1);

namespace App\Http\Students;

/** A piece of set work, in the list of a student. */
final readonly class MyWork
{
    public function __construct(
        public string $id,
        public string $title,
        public ?string $dueAt,
        public bool $closed,
        public int $attempts,
        /** whether a reply was released */
        public bool $replied,
    ) {
    }
}
