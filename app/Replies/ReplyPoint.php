<?php

declare(strict_types=1);

namespace App\Replies;

use InkedMargin\Core\Marking\OutcomeKind;
use OpenApi\Attributes as OA;

/** The points for one requirement. */
#[OA\Schema]
final readonly class ReplyPoint
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(enum: OutcomeKind::class)]
        public string $outcome,
        #[OA\Property]
        public float $awarded,
        #[OA\Property]
        public float $possible,
        #[OA\Property]
        public ?string $reason,
        #[OA\Property(description: 'how the points came about; null in replies from before that was told')]
        public ?string $how = null,
    ) {
    }

    /** Without what follows from the rest. */
    public function said(): self
    {
        return new self($this->title, $this->outcome, $this->awarded, $this->possible, $this->reason);
    }
}
