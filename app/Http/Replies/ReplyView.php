<?php

declare(strict_types=1);

namespace App\Http\Replies;

use App\Replies\ReplyChange;
use App\Replies\ReplyContent;

/** A reply: as it would be now, and what was released. */
final readonly class ReplyView
{
    /**
     * @param  list<ReleasedReply>  $released
     * @param  list<ReplyChange>  $changes  what the draft says otherwise than what was released last
     */
    public function __construct(
        public string $handInId,
        public ReplyContent $draft,
        public array $released,
        public bool $changedSince,
        public array $changes,
        /** of the student; '' when it is not known */
        public string $email,
        /** reasons for lost points that are still in pencil: they go out as short lines */
        public int $reasons,
    ) {
    }
}
