<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** One place that shows why a requirement was not met in full. */
#[OA\Schema]
final readonly class OutcomeShortfall
{
    public function __construct(
        #[OA\Property]
        public string $file,
        #[OA\Property]
        public ?int $line,
        #[OA\Property]
        public string $message,
    ) {
    }
}
