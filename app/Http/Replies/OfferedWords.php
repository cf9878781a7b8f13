<?php

declare(strict_types=1);

namespace App\Http\Replies;

use OpenApi\Attributes as OA;

/** Words that a reply may begin and end with, for the instructor to change. */
#[OA\Schema]
final readonly class OfferedWords
{
    public function __construct(#[OA\Property] public string $opening, #[OA\Property] public string $closing)
    {
    }
}
