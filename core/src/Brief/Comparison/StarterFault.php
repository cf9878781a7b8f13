<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Source\Span;

/** One thing about an element that its starter file has otherwise. */
final readonly class StarterFault
{
    /** @param  Span|null  $span  null for the whole element */
    public function __construct(public string $message, public string $remedy, public ?Span $span = null)
    {
    }
}
