<?php

declare(strict_types=1);

namespace App\Http\Desk;

use OpenApi\Attributes as OA;

/** A note as it will be read. */
#[OA\Schema]
final readonly class Preview
{
    public function __construct(#[OA\Property] public string $html)
    {
    }
}
