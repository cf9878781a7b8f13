<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;

/** `.name` (Selectors Level 4, section 6.6). */
final readonly class ClassSelector implements Simple
{
    public function __construct(public string $name)
    {
    }

    public function matches(Element $element, Matching $matching): bool
    {
        $value = $element->value('class');
        if ($value === null) {
            return false;
        }

        return $value === $this->name || in_array(
            $matching->isQuirky ? strtolower($this->name) : $this->name,
            $matching->classesOf($element),
            true,
        );
    }

    public function specificity(): Specificity
    {
        return new Specificity(classes: 1);
    }
}
