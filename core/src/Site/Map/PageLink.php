<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Map;

use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\Resolution;

/** A link of a page that a reader can follow. */
final readonly class PageLink
{
    /**
     * @param  string  $label  its words, or the alt text of the picture in it
     * @param  string|null  $standIn  the page that stands in for the one it names, where that has a wrong name
     */
    public function __construct(
        public Page $page,
        public Reference $reference,
        public string $label,
        public LinkPlace $place,
        public ?string $standIn = null,
    ) {
    }

    public function from(): string
    {
        return $this->page->path();
    }

    /** The file it reaches; null when it reaches none of the site. */
    public function to(): ?string
    {
        return $this->reference->target->found ?? $this->standIn;
    }

    /** Whether it was to lead somewhere, and leads nowhere: broken, or never filled in. */
    public function isUnfinished(): bool
    {
        return $this->standIn === null && ($this->reference->target->resolution->isBroken()
            || $this->reference->target->resolution === Resolution::Placeholder);
    }

    /**
     * Whether it asks for a new tab: `_blank`, or any other name that is no keyword, as that opens a window too
     * (7.3.1.7).
     */
    public function opensNewTab(): bool
    {
        $target = strtolower(trim($this->reference->element?->value('target') ?? ''));

        return ! in_array($target, ['', '_self', '_parent', '_top'], true);
    }

    /** Whether it leads to another site. */
    public function leavesSite(): bool
    {
        return $this->reference->target->resolution === Resolution::Elsewhere;
    }
}
