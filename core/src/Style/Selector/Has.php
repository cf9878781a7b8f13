<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;

/** `:has()`: something below or behind an element (Selectors Level 4, section 4.5). */
final readonly class Has implements Simple
{
    /** @param  list<Complex>  $relative  each with the combinator that it begins with */
    public function __construct(private array $relative)
    {
    }

    public function matches(Element $element, Matching $matching): bool
    {
        foreach ($this->relative as $selector) {
            if (isset($matching->anchorsOf($selector)[spl_object_id($element)])) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> lower-cased */
    public function elementNames(): array
    {
        return SelectorList::namesIn($this->relative);
    }

    public function specificity(): Specificity
    {
        return Specificity::most(array_map(fn (Complex $one) => $one->specificity(), $this->relative));
    }
}
