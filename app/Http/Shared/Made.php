<?php

declare(strict_types=1);

namespace App\Http\Shared;

use OpenApi\Attributes as OA;

/** Something that was made, by its id. */
#[OA\Schema]
final readonly class Made
{
    public function __construct(#[OA\Property] public string $id)
    {
    }
}
