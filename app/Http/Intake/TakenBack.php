<?php

declare(strict_types=1);

namespace App\Http\Intake;

use OpenApi\Attributes as OA;

/** What came of taking back what was dropped together. */
#[OA\Schema]
final readonly class TakenBack
{
    public function __construct(
        #[OA\Property(description: 'files that are out of the tray')]
        public int $gone,
        #[OA\Property(description: 'hand-ins that stay, as somebody has written to them')]
        public int $kept,
    ) {
    }
}
