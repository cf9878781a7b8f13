<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Source\Position;
use InkedMargin\Core\Source\Range;

/** A finding of one run with its fingerprint and the lines and columns of its span. */
final readonly class PlacedFinding
{
    public function __construct(
        public Finding $finding,
        public string $fingerprint,
        public Position $start,
        public Position $end,
    ) {
    }

    public static function of(Finding $finding, string $fingerprint): self
    {
        $nowhere = new Position(1, 1, 0);
        $range = $finding->source?->range($finding->span) ?? new Range($nowhere, $nowhere);

        return new self($finding, $fingerprint, $range->start, $range->end);
    }
}
