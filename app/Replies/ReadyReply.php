<?php

declare(strict_types=1);

namespace App\Replies;

/** A reply that could be released now. */
final readonly class ReadyReply
{
    public function __construct(
        public string $handInId,
        public string $student,
        /** findings that nobody has decided on: they stay with you */
        public int $pencilled,
        /** how much is in ink */
        public int $inked,
        /** requirements that wait for somebody to judge them */
        public int $toJudge,
        /** reasons for lost points that are still in pencil: they go out as short lines */
        public int $reasons,
        /** points that are not judged yet */
        public float $open,
        /** whether it would supersede another */
        public bool $again,
        /** whether the student can be told by e-mail */
        public bool $hasAddress,
    ) {
    }
}
