<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;

/** An element that is obsolete (HTML Standard, 16.2). */
final readonly class ObsoleteElement extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/obsolete-element', Weight::Departure, ProofMark::Change, 'An element is obsolete.');
    }

    protected function lookAt(Element $element, Page $page): ?Finding
    {
        $instead = ElementTable::load()->insteadOf($element->name);
        if (! $element->isWritten() || $instead === null) {
            return null;
        }

        return $this->at($element, $page, "The element {$element->name} is obsolete.", "Use {$instead}.");
    }
}
