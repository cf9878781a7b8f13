<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Parser;

use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Source\Span;

/** A start or end tag token (HTML Standard, 13.2.5), with the bytes it was written with. */
final class Tag
{
    /** Whether a start tag's `/` was asked for (13.2.5: "acknowledge the token's self-closing flag"). */
    public bool $acknowledged = false;

    /** @param  array<string, Attribute>  $attributes by name */
    public function __construct(
        public string $name,
        public readonly bool $isEnd,
        public readonly int $start,
        public readonly int $end,
        public array $attributes = [],
        public readonly bool $selfClosing = false,
    ) {
    }

    /** The value of an attribute; '' where it has none of the name. */
    public function value(string $name): string
    {
        return ($this->attributes[$name] ?? null)->value ?? '';
    }

    public function span(): Span
    {
        return new Span($this->start, $this->end);
    }
}
