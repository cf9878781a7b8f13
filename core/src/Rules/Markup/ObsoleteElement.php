<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Site\Page;

/** An element that is obsolete (HTML Standard, 16.2). Told once a page for each name. */
final readonly class ObsoleteElement extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/obsolete-element', Weight::Departure, ProofMark::Change, 'An element is obsolete.');
    }

    protected function concerns(string $name): bool
    {
        return ElementTable::load()->insteadOf($name) !== null;
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Finding
    {
        if ($exam->brief->asksFor('element', $element->name)) {
            return null;
        }
        $instead = ElementTable::load()->insteadOf($element->name);

        return $this->elementFinding(
            $page,
            $element,
            "`<{$element->name}>` is obsolete.",
            $instead === 'nothing' ? 'Remove it, and keep its text.' : "Use $instead.",
            fold: $element->name,
        );
    }
}
