<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;

/** Selectors with commas between them: one of them has to match. */
final readonly class SelectorList
{
    /** @param  list<Complex>  $alternatives */
    public function __construct(public string $written, public array $alternatives)
    {
    }

    /** @throws SelectorError when the text is no list of selectors */
    public static function parse(string $written): self
    {
        return SelectorParser::parse($written);
    }

    public function matches(Element $element, Matching $matching): bool
    {
        $matching->take(count($this->alternatives));
        foreach ($this->alternatives as $alternative) {
            if ($alternative->pseudoElement === null && $alternative->matches($element, $matching)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Element> in document order, as the page is when nobody has touched it */
    public function all(Document $document): array
    {
        $matching = new Matching($document);

        return array_values(array_filter(
            $document->elements(),
            fn (Element $element) => $this->matches($element, $matching),
        ));
    }

    /**
     * The first condition that holds at some times only, such as `:hover`, or the pseudo-element; null when there is
     * none.
     */
    public function passing(): ?string
    {
        foreach ($this->alternatives as $alternative) {
            if ($alternative->pseudoElement !== null) {
                return "::$alternative->pseudoElement";
            }
            foreach ($alternative->compounds as $compound) {
                foreach ($compound->parts as $part) {
                    if ($part instanceof PseudoClass && in_array($part->name, PseudoClass::STATES, true)) {
                        return ":$part->name";
                    }
                }
            }
        }

        return null;
    }

    public function specificity(): Specificity
    {
        return Specificity::most(array_map(fn (Complex $one) => $one->specificity, $this->alternatives));
    }

    /** @return list<string> the names of elements that it speaks of, lower-cased */
    public function elementNames(): array
    {
        return self::namesIn($this->alternatives);
    }

    /**
     * @param  list<Complex>  $selectors
     * @return list<string> the names of elements that they speak of, also in brackets, lower-cased
     */
    public static function namesIn(array $selectors): array
    {
        $names = [];
        foreach ($selectors as $selector) {
            foreach ($selector->compounds as $compound) {
                foreach ($compound->parts as $part) {
                    array_push($names, ...match (true) {
                        $part instanceof TypeSelector && $part->name !== null => [strtolower($part->name)],
                        $part instanceof Has, $part instanceof SelectorFunction => $part->elementNames(),
                        default => [],
                    });
                }
            }
        }

        return $names;
    }
}
