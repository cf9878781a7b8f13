<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Mode;
use InkedMargin\Core\Source\Allowance;
use InkedMargin\Core\Source\OverLimit;

/**
 * What selectors are matched against: a page, and the states that its elements are in. What several selectors ask of
 * the tree is worked out once.
 */
final class Matching
{
    private const MAX_AROUND = 200;

    public readonly bool $isQuirky;

    /** @var array<int, Element|null>|null the element before each, by object id */
    private ?array $before = null;

    /** @var array<string, array<int, int>> places among siblings, by what is counted, then by object id */
    private array $places = [];

    /** @var \WeakMap<Complex, array<int, true>> the elements that have what a relative selector asks for */
    private \WeakMap $anchors;

    /** @var array<int, array<string, true>|null> by the object id of the parent */
    private array $around = [];

    /** @var array<int, list<string>> lower-cased in quirks mode, by object id */
    private array $classes = [];

    /**
     * @param  list<string>|null  $states  names of pseudo-classes such as `hover` that hold for every element; null for
     *     any: then each of them may hold at some time
     * @param  Allowance|null  $steps  how long it may take in all; null for as long as it takes
     */
    public function __construct(
        private readonly Document $document,
        private readonly ?array $states = [],
        private readonly ?Allowance $steps = null,
    ) {
        $this->isQuirky = $document->mode === Mode::Quirks;
        $this->anchors = new \WeakMap;
    }

    /**
     * The same page in other states.
     *
     * @param  list<string>|null  $states  null for any
     */
    public function in(?array $states): self
    {
        return new self($this->document, $states, $this->steps);
    }

    /** @throws OverLimit when selectors have been held against elements for too long */
    public function take(int $steps): void
    {
        $this->steps?->take($steps);
    }

    /** @param  bool  $always  whether it holds whatever else does: for what cannot be together */
    public function isIn(string $state, Element $element, bool $always = false): bool
    {
        if (in_array($state, ['visited', 'local-link'], true) && ! PseudoClass::isLink($element)) {
            return false;
        }

        return $this->states === null ? ! $always : in_array($state, $this->states, true);
    }

    /** @return list<string> */
    public function classesOf(Element $element): array
    {
        return $this->classes[spl_object_id($element)] ??= $this->isQuirky
            ? array_map(strtolower(...), $element->classes())
            : $element->classes();
    }

    /**
     * The classes and ids of what is around an element, by which most selectors can be told not to match at once.
     *
     * @return array<string, true>|null as `.class` and `#id`, lower-cased; null where there are too many to be kept
     */
    public function around(Element $element): ?array
    {
        $parent = $element->parent;
        if ($parent === null) {
            return [];
        }
        $id = spl_object_id($parent);
        if (! array_key_exists($id, $this->around)) {
            $this->around[$id] = $this->namesFrom($parent);
        }

        return $this->around[$id];
    }

    /** @return array<string, true>|null */
    private function namesFrom(Element $element): ?array
    {
        $names = $this->around($element);
        if ($names === null || $element->attributes === []) {
            return $names;
        }
        foreach ($element->value('class') === null ? [] : $element->classes() as $class) {
            $names['.'.strtolower($class)] = true;
        }
        if ($element->value('id') !== null) {
            $names['#'.strtolower($element->value('id'))] = true;
        }

        return count($names) > self::MAX_AROUND ? null : $names;
    }

    public function before(Element $element): ?Element
    {
        if ($this->before === null) {
            $this->before = [];
            foreach ($this->families() as $siblings) {
                $last = null;
                foreach ($siblings as $one) {
                    $this->before[spl_object_id($one)] = $last;
                    $last = $one;
                }
            }
        }

        return $this->before[spl_object_id($element)] ?? null;
    }

    /**
     * 1 for the first of its siblings, or of those of its name, or of those that match; null when it is none of these.
     */
    public function placeOf(Element $element, bool $ofType, bool $fromEnd, ?SelectorList $among = null): ?int
    {
        $key = ($ofType ? 't' : 'c').($fromEnd ? '-' : '+').($among === null ? '' : spl_object_id($among));

        return ($this->places[$key] ??= $this->places($ofType, $fromEnd, $among))[spl_object_id($element)] ?? null;
    }

    /** @return array<int, int> */
    private function places(bool $ofType, bool $fromEnd, ?SelectorList $among): array
    {
        $places = [];
        $this->take(count($this->document->elements()));
        foreach ($this->families() as $siblings) {
            $counts = [];
            foreach ($fromEnd ? array_reverse($siblings) : $siblings as $one) {
                if ($among === null || $among->matches($one, $this)) {
                    $kind = $ofType ? $one->namespace->name.$one->name : '';
                    $places[spl_object_id($one)] = $counts[$kind] = ($counts[$kind] ?? 0) + 1;
                }
            }
        }

        return $places;
    }

    /** @return \Generator<int, list<Element>> all elements, those of one parent together */
    private function families(): \Generator
    {
        yield array_values(array_filter($this->document->children, fn ($one) => $one instanceof Element));
        foreach ($this->document->elements() as $element) {
            if ($element->children !== []) {
                yield $element->elements();
            }
        }
    }

    /**
     * The elements that have what a relative selector asks for below or behind them: found once for the page, from what
     * is asked for upwards.
     *
     * @return array<int, true> by object id
     */
    public function anchorsOf(Complex $relative): array
    {
        return $this->anchors[$relative] ??= $this->findAnchors($relative);
    }

    /** @return array<int, true> */
    private function findAnchors(Complex $relative): array
    {
        $reached = [];
        $this->take(count($this->document->elements()) * count($relative->compounds));
        foreach ($this->document->elements() as $element) {
            if ($relative->subject()->matches($element, $this)) {
                $reached[] = $element;
            }
        }
        for ($at = count($relative->compounds) - 1; $at >= 0; $at--) {
            $reached = $this->stepOut($relative, $at, $reached);
        }

        return array_fill_keys(array_map(spl_object_id(...), $reached), true);
    }

    /**
     * @param  int<0, max>  $at
     * @param  list<Element>  $reached what matches from one compound on
     * @return list<Element> what the compound before it matches, or may be anchored at
     */
    private function stepOut(Complex $relative, int $at, array $reached): array
    {
        $next = $seen = [];
        foreach ($reached as $element) {
            foreach (Complex::candidates($relative->combinators[$at], $element, $this) as $candidate) {
                $id = spl_object_id($candidate);
                if (isset($seen[$id])) {
                    break;
                }
                $seen[$id] = true;
                if ($at === 0 || $relative->compounds[$at - 1]->matches($candidate, $this)) {
                    $next[] = $candidate;
                }
            }
        }

        return $next;
    }
}
