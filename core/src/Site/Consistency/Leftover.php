<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/** Something on a page that belongs to another page, which it was copied from. */
final readonly class Leftover
{
    /**
     * @param  Page  $owner  the page that it belongs to
     * @param  string  $words  what it says, or the path of a picture
     */
    public function __construct(
        public LeftoverKind $kind,
        public Page $page,
        public Page $owner,
        public Element $element,
        public Span $span,
        public Span $original,
        public string $words,
    ) {
    }

    public function pair(): string
    {
        return "{$this->page->path()}\0{$this->owner->path()}";
    }
}
