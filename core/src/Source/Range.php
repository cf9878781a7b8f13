<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** Where a span starts and ends, as people name places. */
final readonly class Range
{
    public function __construct(public Position $start, public Position $end)
    {
    }
}
