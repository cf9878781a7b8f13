<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Source\Difference;

/**
 * Which element of a page is which element of an earlier state of it: first what stayed as it was, wherever it stands
 * now, then what is around that, then what has the same place between the others.
 */
final class TreeMatch
{
    /** So much of what both hold has to be the same for an element to be another with a new name. */
    private const ALIKE = 0.5;

    /** @var array<int, Element> the new element by the id of the old one */
    private array $new = [];

    /** @var array<int, Element> the old element by the id of the new one */
    private array $old = [];

    /** @var array<int, string> by element id: what an element and all in it come to */
    private array $hashes = [];

    /** @var array<int, true> ids of elements that hold what is known */
    private array $holders = [];

    /** @param  \Closure(Element): bool  $isOpen  whether anything may stand in place of an old element */
    private function __construct(private readonly \Closure $isOpen)
    {
    }

    /** @param  \Closure(Element): bool  $isOpen  whether anything may stand in place of an old element */
    public static function between(Element $old, Element $new, \Closure $isOpen): self
    {
        $match = new self($isOpen);
        [$before, $after] = [[$old, ...Walk::elements($old)], [$new, ...Walk::elements($new)]];
        foreach ([array_reverse($before), array_reverse($after)] as $elements) {
            foreach ($elements as $element) {
                $match->hashes[spl_object_id($element)] = $match->hash($element);
            }
        }
        $match->pair($old, $new);
        $match->pairUnchanged($before, $after);
        $match->pairAround($before);
        foreach ($before as $element) {
            if ($match->newOf($element) !== null) {
                $match->pairChildren($element, $match->newOf($element));
            }
        }

        return $match;
    }

    public function newOf(?Element $old): ?Element
    {
        return $old === null ? null : $this->new[spl_object_id($old)] ?? null;
    }

    public function oldOf(?Element $new): ?Element
    {
        return $new === null ? null : $this->old[spl_object_id($new)] ?? null;
    }

    private function pair(Element $old, Element $new): void
    {
        $this->new[spl_object_id($old)] = $new;
        $this->old[spl_object_id($new)] = $old;
    }

    private function hash(Element $element): string
    {
        $parts = [$element->name];
        foreach ($element->attributes as $attribute) {
            $parts[] = "$attribute->name=$attribute->value";
        }
        foreach ($element->children as $child) {
            if ($child instanceof Element) {
                $parts[] = $this->hashes[spl_object_id($child)] ?? '';
            } elseif ($child instanceof TextNode && ! $child->isBlank()) {
                $parts[] = 'text '.implode(' ', PlacedWord::split($child->text));
            }
        }

        return sha1(implode("\0", $parts));
    }

    /**
     * What is as it was, first in the order of both pages, then elsewhere if it has words that make it known.
     *
     * @param  list<Element>  $before
     * @param  list<Element>  $after
     */
    private function pairUnchanged(array $before, array $after): void
    {
        $hashOf = fn (Element $element) => $this->hashes[spl_object_id($element)];
        [$old, $new] = [array_map($hashOf, $before), array_map($hashOf, $after)];
        [$from, $start] = [0, 0];
        foreach ([...Difference::between($old, $new), null] as $difference) {
            for (; $from < ($difference->from ?? count($old)); $from++, $start++) {
                if ($this->hasWords($before[$from]) || $from === $start) {
                    $this->pairWhole($before[$from], $after[$start]);
                }
            }
            [$from, $start] = [$difference->until ?? 0, $difference->end ?? 0];
        }
        $elsewhere = [];
        foreach (array_reverse($after) as $element) {
            if ($this->oldOf($element) === null) {
                $elsewhere[$hashOf($element)][] = $element;
            }
        }
        foreach ($before as $element) {
            if ($this->newOf($element) === null && isset($elsewhere[$hashOf($element)]) && $this->hasWords($element)) {
                $there = array_pop($elsewhere[$hashOf($element)]);
                if ($there !== null && $this->oldOf($there) === null) {
                    $this->pairWhole($element, $there);
                }
            }
        }
    }

    private function hasWords(Element $element): bool
    {
        return count(PlacedWord::split($element->words(200))) > 1;
    }

    /** Two elements that are the same, with all in them. */
    private function pairWhole(Element $old, Element $new): void
    {
        if ($this->newOf($old) !== null || $this->oldOf($new) !== null) {
            return;
        }
        $inside = [...Walk::elements($new)];
        $this->pair($old, $new);
        foreach ([...Walk::elements($old)] as $nth => $element) {
            if ($this->newOf($element) === null && $this->oldOf($inside[$nth]) === null) {
                $this->pair($element, $inside[$nth]);
            }
        }
    }

    /**
     * From the innermost out: an element is the one that holds most of what it held.
     *
     * @param  list<Element>  $before
     */
    private function pairAround(array $before): void
    {
        foreach (array_reverse($before) as $element) {
            if ($this->newOf($element) !== null) {
                continue;
            }
            [$holders, $counts] = [[], []];
            foreach ($element->elements() as $child) {
                $holder = $this->newOf($child)?->parent;
                if ($holder !== null && $this->oldOf($holder) === null) {
                    $holders[spl_object_id($holder)] = $holder;
                    $counts[spl_object_id($holder)] = ($counts[spl_object_id($holder)] ?? 0) + 1;
                }
            }
            arsort($counts);
            $best = $holders[array_key_first($counts) ?? 0] ?? null;
            $most = $counts === [] ? 0 : max($counts);
            if ($best !== null && ($best->name === $element->name
                || $most >= self::ALIKE * max(count($element->elements()), count($best->elements())))) {
                $this->pair($element, $best);
            }
        }
    }

    /** Children of two elements that are one: by name and order, and what is left by its place between the others. */
    private function pairChildren(Element $old, Element $new): void
    {
        $children = [$this->children($old, $this->new), $this->children($new, $this->old)];
        foreach ($this->openStretches(...$children) as [$left, $right]) {
            [$from, $start] = [0, 0];
            foreach ([...Difference::between(self::names($left), self::names($right)), null] as $difference) {
                while ($from < ($difference->from ?? count($left))) {
                    $this->pair($left[$from++], $right[$start++]);
                }
                for (; $difference !== null && $from < $difference->until; $from++) {
                    $there = $start < $difference->end ? $right[$start] : null;
                    if ($there !== null && $this->mayBe($left[$from], $there)) {
                        $this->pair($left[$from], $there);
                        $start++;
                    }
                }
                $start = $difference->end ?? 0;
            }
        }
    }

    /**
     * The children of an element. Of one that is not known but holds what is known, as a box that was put around other
     * elements does, what is in it.
     *
     * @param  array<int, Element>  $known  by id
     * @return list<Element>
     */
    private function children(Element $element, array $known): array
    {
        $found = [];
        $waiting = array_reverse($element->elements());
        while ($waiting !== []) {
            $child = array_pop($waiting);
            $isBox = ! isset($known[spl_object_id($child)]) && $this->holds($child, $known);
            if ($isBox) {
                array_push($waiting, ...array_reverse($child->elements()));
            } else {
                $found[] = $child;
            }
        }

        return $found;
    }

    /**
     * Whether something in an element is known. What is found is kept for all that is around it.
     *
     * @param  array<int, Element>  $known  by id
     */
    private function holds(Element $element, array $known): bool
    {
        if (isset($this->holders[spl_object_id($element)])) {
            return true;
        }
        foreach (Walk::elements($element) as $one) {
            if (isset($known[spl_object_id($one)])) {
                for ($around = $one->parent; $around instanceof Element; $around = $around->parent) {
                    $this->holders[spl_object_id($around)] = true;
                    if ($around === $element) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /**
     * @param  list<Element>  $left
     * @param  list<Element>  $right
     * @return list<array{list<Element>, list<Element>}> what is not known on both sides, between what is
     */
    private function openStretches(array $left, array $right): array
    {
        $stretches = [];
        $at = 0;
        $open = [];
        foreach ([...$left, null] as $element) {
            $there = $this->newOf($element);
            if ($element !== null && $there === null) {
                $open[] = $element;

                continue;
            }
            $end = $there === null ? count($right) : array_search($there, $right, true);
            if ($end === false || $end < $at) {
                continue;
            }
            $free = array_filter(
                array_slice($right, $at, $end - $at),
                fn (Element $one) => $this->oldOf($one) === null,
            );
            $stretches[] = [$open, array_values($free)];
            [$open, $at] = [[], $end + 1];
        }

        return array_values(array_filter($stretches, fn (array $one) => $one[0] !== [] && $one[1] !== []));
    }

    /**
     * @param  list<Element>  $elements
     * @return list<string>
     */
    private static function names(array $elements): array
    {
        return array_map(fn (Element $one) => $one->name, $elements);
    }

    /** Whether an element may be another one that got a new name. */
    private function mayBe(Element $old, Element $new): bool
    {
        if (($this->isOpen)($old)) {
            return true;
        }
        [$had, $has] = [PlacedWord::split($old->words()), PlacedWord::split($new->words())];
        $shared = count($had) - count(array_diff($had, $has));

        return $had === [] ? $has === [] : $shared >= self::ALIKE * max(count($had), count($has));
    }
}
