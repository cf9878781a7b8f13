<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/** A run of text, with character references already read. */
final class Text extends Node
{
    public function __construct(public string $text, private readonly Span $span)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function isBlank(): bool
    {
        return trim($this->text, " \t\n\f\r") === '';
    }
}
