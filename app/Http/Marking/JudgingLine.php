<?php

declare(strict_types=1);

namespace App\Http\Marking;

/** One student's site, to be judged by eye. */
final readonly class JudgingLine
{
    /** @param  list<string>  $pages */
    public function __construct(
        public string $handInId,
        public string $student,
        public string $handle,
        public int $attempt,
        /** where its pages are seen, from another host and without scripts */
        public string $seenAt,
        public array $pages,
        /** points given so far; null where nobody has judged it */
        public ?float $points,
        public ?string $reason,
    ) {
    }
}
