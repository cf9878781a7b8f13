<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/** An attribute as it was written: its lower-cased name, its value with character references read, and where both stand. */
final readonly class Attribute
{
    /** @param  Span|null  $valueSpan the value's bytes without quotes; null when only the name was written */
    public function __construct(
        public string $name,
        public string $value,
        public Span $nameSpan,
        public ?Span $valueSpan,
    ) {
    }

    public function span(): Span
    {
        return $this->valueSpan === null ? $this->nameSpan : $this->nameSpan->through($this->valueSpan);
    }
}
