<?php

declare(strict_types=1);

namespace App\Feedback;

/** A line of a student's file, in three pieces: what is meant is the middle one. */
final readonly class QuotedLine
{
    public function __construct(
        /** from 1 */
        public int $number,
        /** the whole line where nothing in it is meant */
        public string $before,
        public string $meant = '',
        public string $after = '',
    ) {
    }
}
