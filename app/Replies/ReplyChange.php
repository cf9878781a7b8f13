<?php

declare(strict_types=1);

namespace App\Replies;

/** One thing in which a reply differs from the one that it supersedes. */
final readonly class ReplyChange
{
    /** @param  'added'|'taken out'|'points'  $kind */
    public function __construct(
        public string $kind,
        public string $place,
        public string $text,
    ) {
    }
}
