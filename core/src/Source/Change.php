<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** One change to a text: a span is replaced, or moved to where this stands. */
final readonly class Change
{
    /** @param  Span|null  $moved  what is moved here from elsewhere in the text, which another change takes out */
    private function __construct(public Span $span, public string $text, public ?Span $moved = null)
    {
    }

    public static function insert(int $offset, string $text): self
    {
        return new self(Span::at($offset), $text);
    }

    public static function remove(Span $span): self
    {
        return new self($span, '');
    }

    public static function replace(Span $span, string $text): self
    {
        return new self($span, $text);
    }

    public static function moveTo(int $offset, Span $moved): self
    {
        return new self(Span::at($offset), '', $moved);
    }
}
