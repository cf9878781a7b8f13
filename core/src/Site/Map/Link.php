<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Map;

use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\Verdict;

/** A link of a page that a reader can follow. */
final readonly class Link
{
    /** @param  string  $label  its words, or the alt text of the picture in it */
    public function __construct(public Page $page, public Reference $reference, public string $label, public LinkPlace $place)
    {
    }

    public function from(): string
    {
        return $this->page->path();
    }

    /** The file it reaches; null when it reaches none of the site. */
    public function to(): ?string
    {
        return $this->reference->target->found;
    }

    /** Whether it was to lead somewhere, and leads nowhere: broken, or never filled in. */
    public function isUnfinished(): bool
    {
        return $this->reference->target->verdict->isBroken() || $this->reference->target->verdict === Verdict::Placeholder;
    }

    /** Whether it leads to another site. */
    public function leavesSite(): bool
    {
        return $this->reference->target->verdict === Verdict::Elsewhere;
    }
}
