<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Source\Span;

/** Compound selectors with combinators between them (Selectors Level 4, section 3.1). */
final readonly class Complex
{
    public Specificity $specificity;

    /**
     * @param  non-empty-list<Compound>  $compounds  from left to right
     * @param  list<Combinator>  $combinators  between them; one more, the first, where it begins with one
     * @param  string|null  $pseudoElement  what of the last element it is about, such as `before`; null for itself
     * @param  Span  $span  in bytes of the file
     */
    public function __construct(
        public array $compounds,
        public array $combinators,
        public ?string $pseudoElement,
        public string $written,
        public Span $span,
    ) {
        $sum = new Specificity(types: $pseudoElement === null ? 0 : 1);
        foreach ($compounds as $compound) {
            $sum = $sum->plus($compound->specificity());
        }
        $this->specificity = $sum;
    }

    public function specificity(): Specificity
    {
        return $this->specificity;
    }

    /** The last compound: what an element itself has to meet. */
    public function subject(): Compound
    {
        return $this->compounds[count($this->compounds) - 1];
    }

    /** Whether an element matches, or what of it the pseudo-element names. */
    public function matches(Element $element, Matching $matching): bool
    {
        $last = count($this->compounds) - 1;
        if (! $this->compounds[$last]->matches($element, $matching)) {
            return false;
        }

        return $last === 0 || $this->matchesBefore($last, $element, $matching);
    }

    /**
     * Whether what stands before a compound is met by what is around an element that meets it. Each pair of a compound
     * and an element is looked at once.
     */
    private function matchesBefore(int $compound, Element $element, Matching $matching): bool
    {
        $waiting = [[$compound, $element]];
        $seen = [];
        while ($waiting !== []) {
            [$at, $one] = array_pop($waiting);
            $matching->take(1);
            $wanted = $this->compounds[$at - 1] ?? null;
            $combinator = $this->combinators[$at - 1] ?? null;
            if ($wanted === null || $combinator === null) {
                return true;
            }
            foreach (self::candidates($combinator, $one, $matching) as $candidate) {
                $pair = ($at - 1).' '.spl_object_id($candidate);
                if (isset($seen[$pair])) {
                    // What is further up has been looked at from here already.
                    break;
                }
                $seen[$pair] = true;
                if ($wanted->matches($candidate, $matching)) {
                    $waiting[] = [$at - 1, $candidate];
                }
            }
        }

        return false;
    }

    /** @return iterable<Element> from the nearest on */
    public static function candidates(Combinator $combinator, Element $element, Matching $matching): iterable
    {
        if ($combinator === Combinator::Child || $combinator === Combinator::Descendant) {
            for ($above = $element->parent; $above instanceof Element; $above = $above->parent) {
                yield $above;
                if ($combinator === Combinator::Child) {
                    return;
                }
            }

            return;
        }
        for ($before = $matching->before($element); $before !== null; $before = $matching->before($before)) {
            yield $before;
            if ($combinator === Combinator::NextSibling) {
                return;
            }
        }
    }
}
