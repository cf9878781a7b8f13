<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** Where a page can be seen, in its own origin. */
#[OA\Schema]
final readonly class SeenPage
{
    public function __construct(
        #[OA\Property]
        public string $url,
    ) {
    }
}
