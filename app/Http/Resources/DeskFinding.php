<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** A finding, and what was decided about it. */
#[OA\Schema]
final readonly class DeskFinding
{
    /**
     * @param  list<RelatedPlace>  $related
     */
    public function __construct(
        #[OA\Property]
        public string $fingerprint,
        #[OA\Property]
        public string $rule,
        #[OA\Property]
        public string $variant,
        #[OA\Property]
        public string $weight,
        #[OA\Property]
        public string $mark,
        #[OA\Property]
        public string $file,
        #[OA\Property]
        public ?int $line,
        #[OA\Property]
        public int $column,
        #[OA\Property]
        public ?int $endLine,
        #[OA\Property]
        public int $endColumn,
        #[OA\Property]
        public string $message,
        #[OA\Property]
        public string $remedy,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RelatedPlace::class))]
        public array $related,
        #[OA\Property]
        public ?string $requirement,
        #[OA\Property]
        public string $state,
        #[OA\Property]
        public ?string $reason,
    ) {
    }
}
