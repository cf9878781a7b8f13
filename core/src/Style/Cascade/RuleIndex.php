<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Style\Selector\ClassSelector;
use InkedMargin\Core\Style\Selector\Combinator;
use InkedMargin\Core\Style\Selector\Complex;
use InkedMargin\Core\Style\Selector\IdSelector;
use InkedMargin\Core\Style\Selector\Matching;
use InkedMargin\Core\Style\Selector\TypeSelector;

/**
 * Rules by what an element has to have before anything else of their selector need be looked at: an id, a class, or a
 * name. An element is held against those alone that it could match; and against those that the standing of an element
 * decides once for all of that standing.
 *
 * @phpstan-type Entry array{int, StyleRule, Complex}
 */
final class RuleIndex
{
    private int $rules = 0;

    /**
     * @var array<string, list<array{Entry, list<string>}>> each with its place in the order of all,
     *     and what it needs around it
     */
    private array $decided = [];

    /** @var array<string, list<array{Entry, list<string>}>> likewise, what no standing decides */
    private array $others = [];

    /** @var array<string, list<Entry>> those that are a name alone, by it */
    private array $byName = [];

    /** @var list<Complex> */
    private array $selectors = [];

    private ?Standings $standings = null;

    /** @var array<int, list<Entry>> by the number of the standing */
    private array $known = [];

    /** @param  list<StyleRule>  $rules */
    public function __construct(array $rules)
    {
        $this->add($rules);
    }

    /** The same rules, for elements in other states: what is known of standings depends on them. */
    public function forOtherStates(): self
    {
        $same = clone $this;
        $same->known = [];

        return $same;
    }

    /** @param  list<StyleRule>  $rules  that come after those that are in it */
    public function with(array $rules): self
    {
        $more = clone $this;
        $more->standings = null;
        $more->known = [];
        $more->add($rules);

        return $more;
    }

    /**
     * @param  int  $around  where the parent of the element stands; 0 for the root
     * @param  Matching  $matching  of one mode and with one set of states, whichever page it is of
     * @return array{int, list<Entry>, bool} where the element stands; the selectors that match it, or what of it they
     *     name: first those that all elements of its standing match, and each of the two by the order of their rules;
     *     and whether there are no others
     */
    public function matching(Element $element, int $around, Matching $matching): array
    {
        $this->standings ??= new Standings($this->selectors);
        $standing = $this->standings->of($element, $around);
        $known = $this->known[$standing] ??= $this->matchingOf($this->decided, $element, $matching, $this->byName);

        $others = $this->others === [] ? [] : $this->matchingOf($this->others, $element, $matching);

        return [$standing, $others === [] ? $known : [...$known, ...$others], $others === []];
    }

    /** @param  list<StyleRule>  $rules */
    private function add(array $rules): void
    {
        foreach ($rules as $rule) {
            $order = $this->rules++;
            foreach ($rule->selector->alternatives ?? [] as $selector) {
                $this->selectors[] = $selector;
                $key = self::keyOf($selector);
                $entry = [$order, $rule, $selector];
                if (self::isBare($selector)) {
                    $this->byName[$key][] = $entry;
                } elseif (Standings::decide($selector)) {
                    $this->decided[$key][] = [$entry, self::neededAround($selector)];
                } else {
                    $this->others[$key][] = [$entry, self::neededAround($selector)];
                }
            }
        }
    }

    /**
     * @param  array<string, list<array{Entry, list<string>}>>  $entries
     * @param  array<string, list<Entry>>  $byName
     * @return list<Entry>
     */
    private function matchingOf(array $entries, Element $element, Matching $matching, array $byName = []): array
    {
        $found = [];
        $around = $matching->around($element);
        foreach (self::keysOf($element, $matching) as $key) {
            $matching->take(count($entries[$key] ?? []));
            foreach ($entries[$key] ?? [] as [$entry, $needed]) {
                foreach ($around === null ? [] : $needed as $name) {
                    if (! isset($around[$name])) {
                        continue 2;
                    }
                }
                if ($entry[2]->matches($element, $matching)) {
                    $found[] = $entry;
                }
            }
        }
        $isHtml = $element->namespace === NodeNamespace::Html;
        foreach ($byName[strtolower($element->name)] ?? [] as $entry) {
            if ($isHtml || $entry[2]->matches($element, $matching)) {
                $found[] = $entry;
            }
        }
        if (count($found) > 1) {
            usort($found, fn (array $a, array $b) => $a[0] <=> $b[0]);
        }

        return $found;
    }

    /** @return list<string> */
    private static function keysOf(Element $element, Matching $matching): array
    {
        $keys = ['*', strtolower($element->name)];
        if ($element->attributes === []) {
            return $keys;
        }
        $id = $element->value('id');
        if ($id !== null) {
            $keys[] = '#'.strtolower($id);
        }
        $classes = $element->value('class') === null ? [] : $matching->classesOf($element);
        foreach ($classes as $class) {
            $keys[] = '.'.strtolower($class);
        }

        return count($classes) > 1 ? array_values(array_unique($keys)) : $keys;
    }

    /** @return list<string> the classes and ids that something around has to have */
    private static function neededAround(Complex $selector): array
    {
        $needed = [];
        if (count($selector->combinators) >= count($selector->compounds)) {
            return [];
        }
        for ($at = count($selector->combinators) - 1; $at >= 0; $at--) {
            // What is before a sibling is around the element all the same; the sibling itself is not.
            $isAround = in_array($selector->combinators[$at], [Combinator::Child, Combinator::Descendant], true);
            foreach ($isAround ? $selector->compounds[$at]->parts ?? [] : [] as $part) {
                if ($part instanceof IdSelector || $part instanceof ClassSelector) {
                    $needed[] = ($part instanceof IdSelector ? '#' : '.').strtolower($part->name);
                }
            }
        }

        return array_values(array_unique($needed));
    }

    /** Whether it is the name of an element and nothing else, so that every HTML element of that name matches. */
    private static function isBare(Complex $selector): bool
    {
        $parts = $selector->subject()->parts;

        return count($selector->compounds) === 1 && count($parts) === 1 && $selector->pseudoElement === null
            && $parts[0] instanceof TypeSelector && $parts[0]->name !== null;
    }

    private static function keyOf(Complex $selector): string
    {
        $key = '*';
        foreach ($selector->subject()->parts as $part) {
            if ($part instanceof IdSelector) {
                return '#'.strtolower($part->name);
            }
            if ($part instanceof ClassSelector) {
                $key = '.'.strtolower($part->name);
            } elseif ($part instanceof TypeSelector && $part->name !== null && $key === '*') {
                $key = strtolower($part->name);
            }
        }

        return $key;
    }
}
