<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;

/** `&`: what the rule around matches (CSS Nesting 1, section 3); outside of any the root of the page. */
final readonly class Nesting implements Simple
{
    public function __construct(private ?SelectorList $around)
    {
    }

    public function matches(Element $element, Matching $matching): bool
    {
        return $this->around === null ? $element->parent === null : $this->around->matches($element, $matching);
    }

    public function specificity(): Specificity
    {
        return $this->around?->specificity() ?? new Specificity;
    }
}
