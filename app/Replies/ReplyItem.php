<?php

declare(strict_types=1);

namespace App\Replies;

use InkedMargin\Core\Finding\ProofMark;
use OpenApi\Attributes as OA;

/** One remark: a finding that was inked, a note, a question, or a merit. */
#[OA\Schema]
final readonly class ReplyItem
{
    public function __construct(
        #[OA\Property(enum: ['finding', 'note', 'question', 'merit'])]
        public string $kind,
        #[OA\Property(enum: ProofMark::class)]
        public ?string $mark,
        #[OA\Property]
        public ?int $line,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public ?string $remedy,
        #[OA\Property]
        public ?string $html,
        #[OA\Property(description: 'where a note is about several lines')]
        public ?int $endLine = null,
    ) {
    }
}
