<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;

/** `#name` (Selectors Level 4, section 6.7). */
final readonly class IdSelector implements Simple
{
    public function __construct(public string $name)
    {
    }

    public function matches(Element $element, Matching $matching): bool
    {
        $id = $element->value('id');

        return $id === $this->name
            || ($matching->isQuirky && $id !== null && strcasecmp($id, $this->name) === 0);
    }

    public function specificity(): Specificity
    {
        return new Specificity(ids: 1);
    }
}
