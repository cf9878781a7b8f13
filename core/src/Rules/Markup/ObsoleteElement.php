<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Site\Page;

/** An element that is obsolete (HTML Standard, 16.2). Told once a page for each name. */
final readonly class ObsoleteElement extends ElementRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/obsolete-element',
            'Obsolete element',
            Weight::Departure,
            ProofMark::Change,
            'An element is obsolete.',
            'This element is no longer part of HTML, and browsers may stop showing it. What it did '
                .'for the look of the page is now done in the stylesheet, once for all pages.',
            Citation::html('Non-conforming features', 'obsolete.html#non-conforming-features'),
        ));
    }

    protected function concerns(string $name): bool
    {
        return ElementTable::load()->insteadOf($name) !== null;
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Draft
    {
        if ($exam->brief->asksFor('element', $element->name)) {
            return null;
        }
        $instead = ElementTable::load()->insteadOf($element->name);

        return Draft::at($page, $element)
            ->says("`<{$element->name}>` is obsolete.")
            ->remedy($instead === 'nothing' ? 'Remove it, and keep its text.' : "Use $instead.")
            ->folded($element->name);
    }
}
