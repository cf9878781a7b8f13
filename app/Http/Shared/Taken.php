<?php

declare(strict_types=1);

namespace App\Http\Shared;

use OpenApi\Attributes as OA;

/** How many of the files that were sent have arrived. */
#[OA\Schema]
final readonly class Taken
{
    public function __construct(#[OA\Property] public int $taken)
    {
    }
}
