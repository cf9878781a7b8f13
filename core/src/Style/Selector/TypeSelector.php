<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;

/** An element's name, or `*` (Selectors Level 4, sections 5.1 and 5.2). */
final readonly class TypeSelector implements Simple
{
    /** For HTML elements, whose names are the same in any letter case. */
    private string $lower;

    /** @param  string|null  $name  as it was written; null for `*` */
    public function __construct(public ?string $name)
    {
        $this->lower = strtolower($name ?? '');
    }

    public function matches(Element $element, Matching $matching): bool
    {
        return $this->name === null
            || $element->name === ($element->namespace === NodeNamespace::Html ? $this->lower : $this->name);
    }

    public function specificity(): Specificity
    {
        return new Specificity(types: $this->name === null ? 0 : 1);
    }
}
