<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Source\Span;

/** The first word in which two texts differ: where it is, what it is now, and what it was. */
final readonly class FirstChange
{
    public function __construct(public Span $span, public string $is, public string $was)
    {
    }
}
