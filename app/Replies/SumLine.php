<?php

declare(strict_types=1);

namespace App\Replies;

use OpenApi\Attributes as OA;

/** A line of a sum of points that is none of a requirement. */
#[OA\Schema]
final readonly class SumLine
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'below zero where they are taken off')]
        public float $points,
        #[OA\Property(description: 'how it came about')]
        public string $how,
        /** @var list<ReplyReason> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReplyReason::class))]
        public array $reasons = [],
    ) {
    }

    /** Without what follows from the rest. */
    public function said(): self
    {
        return new self($this->title, $this->points, $this->how);
    }
}
