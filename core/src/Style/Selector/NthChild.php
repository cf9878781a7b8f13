<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;

/** `:nth-child(2n+1 of S)` and its kin (Selectors Level 4, section 13): the place of an element among its siblings. */
final readonly class NthChild implements Simple
{
    /**
     * @param  string  $of  `child` or `type`
     * @param  int  $step  A of An+B
     * @param  int  $offset  B of An+B
     * @param  SelectorList|null  $among  only the siblings that match are counted
     */
    public function __construct(
        private string $of,
        private bool $fromEnd,
        private int $step,
        private int $offset,
        private ?SelectorList $among = null,
    ) {
    }

    public function matches(Element $element, Matching $matching): bool
    {
        $place = $matching->placeOf($element, $this->of === 'type', $this->fromEnd, $this->among);
        if ($place === null) {
            return false;
        }
        $distance = $place - $this->offset;

        return $this->step === 0
            ? $distance === 0
            : $distance % $this->step === 0 && intdiv($distance, $this->step) >= 0;
    }

    public function specificity(): Specificity
    {
        return (new Specificity(classes: 1))->plus($this->among?->specificity() ?? new Specificity);
    }
}
