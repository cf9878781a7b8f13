<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Style\Colour\Colour;

/** The colours of a text and of what is behind it, with the ratio that is needed. */
final readonly class TextColours
{
    public function __construct(
        public Colour $text,
        public Colour $behind,
        public float $needed,
        public ColourCause $cause,
    ) {
    }

    /** The same for every text with these colours by the same declaration. */
    public function key(): string
    {
        return "{$this->text->hex()} {$this->behind->hex()} ".spl_object_id($this->cause->declaration);
    }
}
