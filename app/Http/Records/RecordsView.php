<?php

declare(strict_types=1);

namespace App\Http\Records;

use App\Records\RecordsState;
use OpenApi\Attributes as OA;

/** How far records are that somebody asked for. */
#[OA\Schema]
final readonly class RecordsView
{
    public function __construct(
        #[OA\Property(enum: RecordsState::class, description: 'null where nobody has asked', nullable: true)]
        public ?string $state,
        #[OA\Property(description: 'hand-ins that are written')]
        public int $done,
        #[OA\Property]
        public int $of,
    ) {
    }
}
