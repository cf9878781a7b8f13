<?php

declare(strict_types=1);

namespace App\Replies;

use OpenApi\Attributes as OA;

/** A reply that could be released now. */
#[OA\Schema]
final readonly class ReadyReply
{
    public function __construct(
        #[OA\Property]
        public string $handInId,
        #[OA\Property]
        public string $student,
        #[OA\Property(description: 'findings that nobody has decided on: they stay with you')]
        public int $pencilled,
        #[OA\Property(description: 'how much is in ink')]
        public int $inked,
        #[OA\Property(description: 'requirements that wait for somebody to judge them')]
        public int $toJudge,
        #[OA\Property(description: 'reasons for lost points that are still in pencil: they go out as short lines')]
        public int $reasons,
        #[OA\Property(description: 'points that are not judged yet')]
        public float $open,
        #[OA\Property(description: 'whether it would supersede another')]
        public bool $again,
        #[OA\Property(description: 'whether the student can be told by e-mail')]
        public bool $hasAddress,
    ) {
    }
}
