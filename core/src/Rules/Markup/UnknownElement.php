<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\NearestName;

/** An element that the HTML Standard does not know (section 4), with the nearest that it does. */
final readonly class UnknownElement extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/unknown-element', Weight::Fault, ProofMark::Change, 'An element is not in the standard.');
    }

    protected function lookAt(Element $element, Page $page): ?Finding
    {
        $table = ElementTable::load();
        if (! $element->isWritten() || $table->knows($element->name)) {
            return null;
        }
        $meant = NearestName::of($element->name, $table->current());

        return $this->at(
            $element,
            $page,
            "There is no element “{$element->name}”; a browser shows its content as if the tag were not there.",
            $meant === null ? 'Use an element that says what this is, or take the tags out.' : "Type {$meant}, in the start tag and in the end tag, if that is meant.",
        );
    }
}
