<?php

declare(strict_types=1);

namespace App\Http\Search;

use OpenApi\Attributes as OA;

/** A way in which a rule is not kept, and how it should be. */
#[OA\Schema]
final readonly class RuleExample
{
    public function __construct(
        #[OA\Property(description: "'' for a rule that can fail in one way only")]
        public string $variant,
        #[OA\Property(description: 'what a brief asks for here; null where none has to')]
        public ?string $asked,
        #[OA\Property]
        public string $bad,
        #[OA\Property]
        public string $good,
        #[OA\Property(description: 'what the check says')]
        public string $says,
    ) {
    }
}
