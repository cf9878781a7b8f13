<?php

declare(strict_types=1);

namespace App\Http\Resources;

use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\PlacedFinding;
use OpenApi\Attributes as OA;

/** Something that a check says of a site that nobody handed in. */
#[OA\Schema]
final readonly class GivenFinding
{
    public function __construct(
        #[OA\Property]
        public string $fingerprint,
        #[OA\Property]
        public string $file,
        #[OA\Property(description: 'null for the file as a whole')]
        public ?int $line,
        #[OA\Property(enum: Weight::class)]
        public Weight $weight,
        #[OA\Property]
        public string $message,
        #[OA\Property]
        public string $remedy,
    ) {
    }

    public static function of(PlacedFinding $placed): self
    {
        $finding = $placed->finding;

        return new self(
            $placed->fingerprint,
            $finding->file,
            $finding->source === null ? null : $placed->start->line,
            $finding->weight,
            $finding->message,
            $finding->remedy,
        );
    }
}
