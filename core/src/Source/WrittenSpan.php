<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** A span, and the text whose bytes it counts in. */
final readonly class WrittenSpan
{
    public function __construct(public SourceFile $source, public Span $span)
    {
    }
}
