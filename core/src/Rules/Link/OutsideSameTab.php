<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\SiteReading;

/** Links to other sites open a new tab. Common practice. */
final readonly class OutsideSameTab extends Rule
{
    public function __construct()
    {
        parent::__construct('link/outside-same-tab', Weight::Tidy, ProofMark::Insert, 'A link to another site opens in the same tab.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->map()->links as $link) {
            $element = $link->reference->element;
            if ($element === null || ! $link->leavesSite() || $link->reference->kind !== ReferenceKind::Link || strtolower(trim($element->value('target') ?? '')) === '_blank') {
                continue;
            }
            yield $this->on($element, $link->page->file, $element->place(), 'This link leaves the site in the same tab, and the reader has to find the way back.', 'Type target="_blank" rel="noopener" inside the tag.');
        }
    }
}
