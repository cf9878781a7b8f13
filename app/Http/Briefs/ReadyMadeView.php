<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use OpenApi\Attributes as OA;

/** A requirement to begin from, in the words of those who ask for it. */
#[OA\Schema]
final readonly class ReadyMadeView
{
    /** @param  array<string, mixed>  $values */
    public function __construct(
        #[OA\Property]
        public string $words,
        #[OA\Property(description: 'other words that find it')]
        public string $also,
        #[OA\Property(description: 'its fields, without the id', type: 'object', additionalProperties: true)]
        public array $values,
    ) {
    }
}
