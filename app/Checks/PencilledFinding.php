<?php

declare(strict_types=1);

namespace App\Checks;

use App\Models\Finding;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\PlacedFinding;

/** A finding that nobody has decided about: of a site that is tried, or that nobody handed in. */
final readonly class PencilledFinding
{
    private function __construct(
        public string $fingerprint,
        public string $rule,
        public string $variant,
        public string $file,
        public ?int $line,
        public Weight $weight,
        public string $message,
        public string $remedy,
        /** points; 0 where it costs nothing, or points are not shown */
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
