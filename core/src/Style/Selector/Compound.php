<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;

/** Conditions that one element meets, all of them (Selectors Level 4, section 3.1). */
final readonly class Compound
{
    /** @param  list<Simple>  $parts */
    public function __construct(public array $parts)
    {
    }

    public function matches(Element $element, Matching $matching): bool
    {
        foreach ($this->parts as $part) {
            if (! $part->matches($element, $matching)) {
                return false;
            }
        }

        return true;
    }

    public function specificity(): Specificity
    {
        $sum = new Specificity;
        foreach ($this->parts as $part) {
            $sum = $sum->plus($part->specificity());
        }

        return $sum;
    }
}
