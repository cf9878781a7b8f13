<?php

declare(strict_types=1);

namespace App\Http\Desk;

use OpenApi\Attributes as OA;

/** A file as the instructor would have it, beside the untouched original. */
#[OA\Schema]
final readonly class MendedCopyView
{
    /** @param  list<MendedStepLine>  $steps */
    public function __construct(
        #[OA\Property]
        public string $path,
        #[OA\Property(description: 'why there can be none', nullable: true)]
        public ?string $refusal,
        #[OA\Property]
        public string $original,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public bool $inReply,
        #[OA\Property(description: 'whether the other pages should follow it')]
        public bool $follow,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MendedStepLine::class))]
        public array $steps,
    ) {
    }
}
