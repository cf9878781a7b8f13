<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;

/** An end tag that may be left out, and was (HTML Standard, 13.1.2.4). */
final readonly class OptionalEndTag extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/optional-end-tag', Weight::Tidy, ProofMark::Insert, 'An end tag is left out where that is allowed.');
    }

    protected function lookAt(Element $element, Page $page): ?Finding
    {
        if (! $element->isWritten() || $element->endTag() !== null || in_array($element->name, ['html', 'head', 'body'], true)
            || ! ElementTable::load()->mayOmitEndTag($element->name) || $page->pairs->isCutShort($element)) {
            return null;
        }

        return $this->at($element, $page, "This {$element->name} has no end tag. That is allowed; the page is easier to read with it.", "Type </{$element->name}> where it ends.");
    }
}
