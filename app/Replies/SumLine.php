<?php

declare(strict_types=1);

namespace App\Replies;

/** A line of a sum of points that is none of a requirement. */
final readonly class SumLine
{
    /** @param  list<ReplyReason>  $reasons */
    public function __construct(
        public string $title,
        /** below zero where they are taken off */
        public float $points,
        /** how it came about */
        public string $how,
        public array $reasons = [],
    ) {
    }

    /** Without what follows from the rest. */
    public function said(): self
    {
        return new self($this->title, $this->points, $this->how);
    }
}
