<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/** A run of text, with character references already read. */
final class Text extends Node
{
    public function __construct(public string $text, private Span $span)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    /** Adds what follows on this text in the tree, wherever it stands in the file. */
    public function add(string $text, int $end): void
    {
        $this->text .= $text;
        if ($end > $this->span->end) {
            $this->span = new Span($this->span->start, $end);
        }
    }

    public function isBlank(): bool
    {
        return trim($this->text, " \t\n\f\r") === '';
    }
}
