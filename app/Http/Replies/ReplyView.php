<?php

declare(strict_types=1);

namespace App\Http\Replies;

use App\Replies\ReplyChange;
use App\Replies\ReplyContent;
use OpenApi\Attributes as OA;

/** A reply: as it would be now, and what was released. */
#[OA\Schema]
final readonly class ReplyView
{
    /**
     * @param  list<ReleasedReply>  $released
     * @param  list<ReplyChange>  $changes
     */
    public function __construct(
        #[OA\Property]
        public string $handInId,
        #[OA\Property]
        public ReplyContent $draft,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReleasedReply::class))]
        public array $released,
        #[OA\Property]
        public bool $changedSince,
        #[OA\Property(
            description: 'what the draft says otherwise than what was released last',
            type: 'array',
            items: new OA\Items(ref: ReplyChange::class),
        )]
        public array $changes,
        #[OA\Property(description: "of the student; '' when it is not known")]
        public string $email,
        #[OA\Property(description: 'reasons for lost points that are still in pencil: they go out as short lines')]
        public int $reasons,
    ) {
    }
}
