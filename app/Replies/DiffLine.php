<?php

declare(strict_types=1);

namespace App\Replies;

/** A line of two texts that are held side by side. */
final readonly class DiffLine
{
    /** @param  'same'|'added'|'removed'  $step */
    public function __construct(
        public string $text,
        public string $step,
        /** in the first text, from 1; of an added line, that of the one that follows */
        public int $number,
    ) {
    }
}
