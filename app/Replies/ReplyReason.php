<?php

declare(strict_types=1);

namespace App\Replies;

/** Why points were lost: one line, with what it cost. */
final readonly class ReplyReason
{
    public function __construct(
        /** the words that were inked, or else what is wrong, without advice */
        public string $text,
        /** points; 0 where it is less than a hundredth */
        public float $cost,
        /** '' where it is about no file in particular */
        public string $file,
        public ?int $line,
        /** whether it is a remark of the reply too */
        public bool $inked,
    ) {
    }

    /** Where it is, such as "tides.html, line 4"; '' where that is nowhere in particular. */
    public function place(): string
    {
        return $this->file.($this->line === null ? '' : ", line $this->line");
    }
}
