<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;

/** `:is()`, `:where()` and `:not()` (Selectors Level 4, sections 4.2 to 4.4). */
final readonly class SelectorFunction implements Simple
{
    public function __construct(public string $name, public SelectorList $list)
    {
    }

    public function matches(Element $element, Matching $matching): bool
    {
        return $this->list->matches($element, $matching) !== ($this->name === 'not');
    }

    /** @return list<string> lower-cased */
    public function elementNames(): array
    {
        return $this->list->elementNames();
    }

    public function specificity(): Specificity
    {
        return $this->name === 'where' ? new Specificity : $this->list->specificity();
    }
}
