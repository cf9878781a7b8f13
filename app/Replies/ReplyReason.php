<?php

declare(strict_types=1);

namespace App\Replies;

use OpenApi\Attributes as OA;

/** Why points were lost: one line, with what it cost. */
#[OA\Schema]
final readonly class ReplyReason
{
    public function __construct(
        #[OA\Property(description: 'the words that were inked, or else what is wrong, without advice')]
        public string $text,
        #[OA\Property(description: 'points; 0 where it is less than a hundredth')]
        public float $cost,
        #[OA\Property(description: "'' where it is about no file in particular")]
        public string $file,
        #[OA\Property]
        public ?int $line,
        #[OA\Property(description: 'whether it is a remark of the reply too')]
        public bool $inked,
    ) {
    }

    /** Where it is, such as "tides.html, line 4"; '' where that is nowhere in particular. */
    public function place(): string
    {
        return $this->file.($this->line === null ? '' : ", line $this->line");
    }
}
