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
    ) {
    }
}
