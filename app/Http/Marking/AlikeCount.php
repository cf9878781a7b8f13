<?php

declare(strict_types=1);

namespace App\Http\Marking;

use OpenApi\Attributes as OA;

/** How many findings of a kind are in pencil, and in how many hand-ins. */
#[OA\Schema]
final readonly class AlikeCount
{
    public function __construct(#[OA\Property] public int $findings, #[OA\Property] public int $handIns)
    {
    }
}
