<?php

declare(strict_types=1);

namespace App\Checks;

use App\Models\Finding;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\PlacedFinding;
use OpenApi\Attributes as OA;

/** A finding that nobody has decided about: of a site that is tried, or that nobody handed in. */
#[OA\Schema]
final readonly class PencilledFinding
{
    private function __construct(
        #[OA\Property]
        public string $fingerprint,
        #[OA\Property]
        public string $rule,
        #[OA\Property]
        public string $variant,
        #[OA\Property]
        public string $file,
        #[OA\Property]
        public ?int $line,
        #[OA\Property(enum: Weight::class)]
        public Weight $weight,
        #[OA\Property]
        public string $message,
        #[OA\Property]
        public string $remedy,
        #[OA\Property(description: 'points; 0 where it costs nothing, or points are not shown')]
        public float $cost,
    ) {
    }

    public static function ofPlaced(PlacedFinding $placed, float $cost = 0.0): self
    {
        $finding = $placed->finding;
        $line = $finding->source === null || ($finding->span->start === 0 && $finding->span->end === 0)
            ? null
            : $placed->start->line;

        return new self(
            $placed->fingerprint,
            $finding->rule,
            $finding->variant,
            $finding->file,
            $line,
            $finding->weight,
            $finding->message,
            $finding->remedy,
            $cost,
        );
    }

    public static function of(Finding $finding, float $cost = 0.0): self
    {
        return new self(
            $finding->fingerprint,
            $finding->rule,
            $finding->variant,
            $finding->file,
            $finding->place()['line'],
            $finding->weight,
            $finding->message,
            $finding->remedy,
            $cost,
        );
    }
}
