<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Style\Selector\ClassSelector;
use InkedMargin\Core\Style\Selector\Complex;
use InkedMargin\Core\Style\Selector\IdSelector;
use InkedMargin\Core\Style\Selector\Matching;
use InkedMargin\Core\Style\Selector\TypeSelector;

/**
 * Rules by what an element has to have before anything else of their selector need be looked at: an id, a class, or a
 * name. An element is held against those alone that it could match.
 */
final class RuleIndex
{
    /** @var array<string, list<array{int, StyleRule, Complex}>> each with its place in the order of all */
    private array $byKey = [];

    /** @param  list<StyleRule>  $rules */
    public function __construct(array $rules)
    {
        foreach ($rules as $order => $rule) {
            foreach ($rule->selector->alternatives ?? [] as $selector) {
                $this->byKey[self::keyOf($selector)][] = [$order, $rule, $selector];
            }
        }
    }

    /**
     * @return list<array{int, StyleRule, Complex}> the selectors that match an element, or what of it they name, by the order of
     *     their rules
     */
    public function matching(Element $element, Matching $matching): array
    {
        $keys = ['*', strtolower($element->name)];
        $id = $element->value('id');
        if ($id !== null) {
            $keys[] = '#'.strtolower($id);
        }
        foreach ($matching->classesOf($element) as $class) {
            $keys[] = '.'.strtolower($class);
        }
        $found = [];
        foreach (array_unique($keys) as $key) {
            foreach ($this->byKey[$key] ?? [] as $entry) {
                if ($entry[2]->matches($element, $matching)) {
                    $found[] = $entry;
                }
            }
        }
        usort($found, fn (array $a, array $b) => $a[0] <=> $b[0]);

        return $found;
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
