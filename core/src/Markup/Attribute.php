<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/**
 * An attribute as it was written: its lower-cased name, its value with character references read, and where both stand.
 *
 * A page has more of these than of anything else, so that offsets are kept as numbers and made spans when they are
 * asked for.
 */
final readonly class Attribute
{
    /**
     * @param  int  $nameStart  bytes
     * @param  int|null  $valueStart  of the value's bytes without quotes; null when only the name was written
     */
    public function __construct(
        public string $name,
        public string $value,
        private int $nameStart,
        private int $nameEnd,
        private ?int $valueStart = null,
        private ?int $valueEnd = null,
    ) {
    }

    public function nameSpan(): Span
    {
        return new Span($this->nameStart, $this->nameEnd);
    }

    /** The value's bytes without quotes; null when only the name was written. */
    public function valueSpan(): ?Span
    {
        return $this->valueStart === null || $this->valueEnd === null
            ? null
            : new Span($this->valueStart, $this->valueEnd);
    }

    public function span(): Span
    {
        return new Span($this->nameStart, $this->valueEnd ?? $this->nameEnd);
    }

    public function named(string $name): self
    {
        return $name === $this->name
            ? $this
            : new self($name, $this->value, $this->nameStart, $this->nameEnd, $this->valueStart, $this->valueEnd);
    }
}
