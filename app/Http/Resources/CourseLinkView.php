<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** A link; null where there is none. */
#[OA\Schema]
final readonly class CourseLinkView
{
    public function __construct(
        #[OA\Property]
        public ?string $link,
    ) {
    }
}
