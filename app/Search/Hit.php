<?php

declare(strict_types=1);

namespace App\Search;

use OpenApi\Attributes as OA;

/** Something that was found, and where it is. */
#[OA\Schema]
final readonly class Hit
{
    public function __construct(
        #[OA\Property(enum: HitKind::class)]
        public HitKind $kind,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'what tells it from others of that name')]
        public string $detail,
        #[OA\Property(description: 'its place in the interface')]
        public string $to,
    ) {
    }
}
