<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** Links within the site stay in the tab. Common practice. */
final readonly class InsideNewTab extends Rule
{
    public function __construct()
    {
        parent::__construct('link/inside-new-tab', Weight::Tidy, ProofMark::TakeOut, 'A link within the site opens a new tab.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->map()->links as $link) {
            $element = $link->reference->element;
            $target = $element?->attribute('target');
            if ($element === null || $target === null || $link->to() === null || ! isset($reading->pages[$link->to()]) || strtolower(trim($target->value)) !== '_blank') {
                continue;
            }
            yield $this->on($element, $link->page->file, $target->span(), 'This link stays in the site and opens a new tab, so that the reader collects copies of it.', 'Take target="_blank" out.', about: '@target');
        }
    }
}
