<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/** A run of text, with character references already read. */
final class TextNode extends Node
{
    /** @param  int  $start bytes */
    public function __construct(public string $text, private readonly int $start, private int $end)
    {
    }

    /** From the first to the last byte of it; what the standard moved elsewhere may stand between. */
    public function span(): Span
    {
        return new Span($this->start, $this->end);
    }

    /** Adds what follows on this text in the tree, wherever it stands in the file. */
    public function add(string $text, int $end): void
    {
        $this->text .= $text;
        if ($end > $this->end) {
            $this->end = $end;
        }
    }

    public function isBlank(): bool
    {
        return trim($this->text, " \t\n\f\r") === '';
    }
}
