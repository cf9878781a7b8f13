<?php

declare(strict_types=1);

namespace App\Http\Replies;

use App\Replies\ReplyContent;

/** A reply that went out. */
final readonly class ReleasedReply
{
    public function __construct(
        public int $number,
        public string $releasedAt,
        public ReplyContent $content,
    ) {
    }
}
