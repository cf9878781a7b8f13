<?php

declare(strict_types=1);

namespace App\Http\Desk;

use OpenApi\Attributes as OA;

/** Another place that explains a finding. */
#[OA\Schema]
final readonly class RelatedPlace
{
    public function __construct(
        #[OA\Property]
        public string $file,
        #[OA\Property]
        public int $line,
        #[OA\Property]
        public string $message,
    ) {
    }
}
