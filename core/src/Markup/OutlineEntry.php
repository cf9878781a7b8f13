<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/** A part or a heading of a page. */
final readonly class OutlineEntry
{
    /**
     * @param  PartKind|null  $part  null for a heading
     * @param  int|null  $level  1 to 6 for a heading, null for a part
     * @param  string  $text of a heading, white space collapsed; for a part what it is called in the source, such as
     *     `div#nav`
     * @param  PartKind|null  $inside  the part around it
     */
    public function __construct(
        public Element $element,
        public ?PartKind $part,
        public ?int $level,
        public string $text,
        public ?PartKind $inside,
    ) {
    }

    /** From the start tag to the end of the end tag, in bytes. */
    public function span(): Span
    {
        return $this->element->span() ?? $this->element->place();
    }
}
