<?php

declare(strict_types=1);

namespace App\Http\Replies;

use App\Replies\ReplyContent;
use OpenApi\Attributes as OA;

/** A reply that went out. */
#[OA\Schema]
final readonly class ReleasedReply
{
    public function __construct(
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $releasedAt,
        #[OA\Property]
        public ReplyContent $content,
    ) {
    }
}
