<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** An element of a page, and the line on which it begins. */
#[OA\Schema]
final readonly class ElementPlaceView
{
    public function __construct(
        #[OA\Property(description: 'places among the elements of one parent, from the root, such as 1.0.2')]
        public string $at,
        #[OA\Property]
        public int $line,
    ) {
    }
}
