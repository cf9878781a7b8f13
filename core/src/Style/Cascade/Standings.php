<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Style\Selector\AttributeSelector;
use InkedMargin\Core\Style\Selector\ClassSelector;
use InkedMargin\Core\Style\Selector\Combinator;
use InkedMargin\Core\Style\Selector\Complex;
use InkedMargin\Core\Style\Selector\IdSelector;
use InkedMargin\Core\Style\Selector\PseudoClass;
use InkedMargin\Core\Style\Selector\SelectorFunction;
use InkedMargin\Core\Style\Selector\Simple;
use InkedMargin\Core\Style\Selector\TypeSelector;

/**
 * Numbers for where elements stand: the same for elements of one name, with the same attributes, in surroundings that
 * stand the same. Most selectors ask for nothing else, and what they match is worked out once for all of these
 * elements, on whichever page.
 */
final class Standings
{
    /** Pseudo-classes that depend on the element's name and attributes alone, or on the reader. */
    private const PLAIN = [
        'link', 'any-link', 'visited', 'hover', 'active', 'focus', 'focus-visible', 'focus-within', 'target', 'root',
    ];

    /** @var array<string, int> */
    private array $numbers = [];

    /**
     * @var array<string, true> names, lower-cased, of attributes whose values are asked for; of others it counts that
     *     they are there
     */
    private array $attributes;

    /** @param  list<Complex>  $selectors  all that are asked about */
    public function __construct(array $selectors)
    {
        $this->attributes = self::attributesIn($selectors);
    }

    /** @param  int  $around  the number of its parent; 0 for the root of a page */
    public function of(Element $element, int $around): int
    {
        $key = "$around $element->name"
            .($element->namespace === NodeNamespace::Html ? '' : " {$element->namespace->name}");
        foreach ($element->attributes as $attribute) {
            $isAsked = isset($this->attributes[strtolower($attribute->name)]);
            $key .= "\0$attribute->name".($isAsked ? "=$attribute->value" : '');
        }

        return $this->numbers[$key] ??= count($this->numbers) + 1;
    }

    /** Whether it is the same for all elements of one standing whether a selector matches. */
    public static function decide(Complex $selector): bool
    {
        foreach ($selector->combinators as $combinator) {
            if ($combinator !== Combinator::Child && $combinator !== Combinator::Descendant) {
                return false;
            }
        }
        foreach ($selector->compounds as $compound) {
            foreach ($compound->parts as $part) {
                if (! self::decidePart($part)) {
                    return false;
                }
            }
        }

        return true;
    }

    private static function decidePart(Simple $part): bool
    {
        if ($part instanceof SelectorFunction) {
            return array_filter($part->list->alternatives, fn (Complex $one) => ! self::decide($one)) === [];
        }

        return $part instanceof TypeSelector || $part instanceof ClassSelector || $part instanceof IdSelector
            || $part instanceof AttributeSelector
            || ($part instanceof PseudoClass && in_array($part->name, self::PLAIN, true));
    }

    /**
     * @param  list<Complex>  $selectors
     * @return array<string, true> the names, lower-cased, of the attributes that they ask for
     */
    private static function attributesIn(array $selectors): array
    {
        $names = ['id' => true, 'class' => true];
        foreach ($selectors as $selector) {
            foreach ($selector->compounds as $compound) {
                foreach ($compound->parts as $part) {
                    if ($part instanceof AttributeSelector) {
                        $names[strtolower($part->name)] = true;
                    } elseif ($part instanceof SelectorFunction) {
                        $names += self::attributesIn($part->list->alternatives);
                    }
                }
            }
        }

        return $names;
    }
}
