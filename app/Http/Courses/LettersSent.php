<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** How many letters are on their way, and who has no address. */
final readonly class LettersSent
{
    /** @param  list<string>  $without */
    public function __construct(
        public int $sent,
        public array $without,
    ) {
    }
}
