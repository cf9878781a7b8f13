<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** How many replies were released. */
#[OA\Schema]
final readonly class Released
{
    public function __construct(#[OA\Property] public int $released)
    {
    }
}
