<?php

declare(strict_types=1);

namespace App\Replies;

/** A place where two texts differ, with a few lines around it. */
final readonly class DiffPlace
{
    /** @param  list<DiffLine>  $lines */
    public function __construct(
        /** the number of its first line in the first text */
        public int $line,
        public array $lines,
    ) {
    }
}
