<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Style\Selector\Matching;
use InkedMargin\Core\Style\Selector\Specificity;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\ValueCheck;
use InkedMargin\Core\Style\Value\Verdict;

/**
 * Which declarations count for each element of a page, and which of them win (CSS Cascade 5, section 6). Custom
 * properties and those that a check asks about are kept with all that was said of them; of the others it is noted which
 * declarations win somewhere.
 */
final class Cascade
{
    /** @var array<int, array<string, list<Applied>>> by object id of the element, then by property: the winner first */
    private array $applied = [];

    /** @var array<int, true> object ids of the author's declarations that win for some element, with some of their longhands */
    private array $won = [];

    /** @var array<int, true> object ids of the author's declarations that count for some element */
    private array $counted = [];

    /** @var array<string, int> */
    private array $layers = [];

    /** @var \WeakMap<Declaration, list<Item>|false> the components of a value; false where a browser drops it */
    private static \WeakMap $values;

    /**
     * @param  list<StyleRule>  $rules  of the author, in order
     * @param  list<string>  $layers  in order
     * @param  array<int, list<Declaration>>  $inline  of `style` attributes, by the object id of the element
     */
    public function __construct(
        private readonly Document $document,
        array $rules,
        array $layers,
        private readonly array $inline,
        private readonly Matching $matching,
    ) {
        self::$values ??= new \WeakMap;
        $this->layers = array_flip(array_values(array_unique($layers)));
        $applying = array_values(array_filter($rules, fn (StyleRule $rule) => $rule->applies));
        $browser = new RuleIndex(Defaults::rules($matching->isQuirky));
        $author = new RuleIndex($applying);
        $body = $this->document->first('body');
        foreach ($this->document->elements() as $element) {
            $this->style($element, $browser, $author, $body);
        }
    }

    /** Whether a declaration of the author wins for some element, with itself or one of its longhands. */
    public function wins(Declaration $declaration): bool
    {
        return isset($this->won[spl_object_id($declaration)]);
    }

    /** Whether it counts for some element: a browser takes its value, and the rule matches. */
    public function counts(Declaration $declaration): bool
    {
        return isset($this->counted[spl_object_id($declaration)]);
    }

    /** @return list<Applied> what is said of a property of an element, the winner first */
    public function of(Element $element, string $property): array
    {
        return $this->applied[spl_object_id($element)][$property] ?? [];
    }

    /** @return array<string, list<Applied>> by the names of custom properties */
    public function customOf(Element $element): array
    {
        return array_filter(
            $this->applied[spl_object_id($element)] ?? [],
            fn (string $property) => str_starts_with($property, '--'),
            ARRAY_FILTER_USE_KEY,
        );
    }

    private function style(Element $element, RuleIndex $browser, RuleIndex $author, ?Element $body): void
    {
        $said = [];
        foreach ($browser->matching($element, $this->matching) as [$order, $rule, $selector]) {
            if ($selector->pseudoElement === null) {
                $this->add($said, $rule->declarations, $rule, $selector->specificity, $order);
            }
        }
        $this->add($said, Defaults::hints($element, $body), null, new Specificity, 0, Origin::Hint);
        foreach ($author->matching($element, $this->matching) as [$order, $rule, $selector]) {
            if ($selector->pseudoElement === null) {
                $this->add($said, $rule->declarations, $rule, $selector->specificity, $order);
            }
        }
        $this->add($said, $this->inline[spl_object_id($element)] ?? [], null, new Specificity, 0);
        $kept = [];
        foreach ($said as $property => $all) {
            usort($all, fn (Applied $a, Applied $b) => $b->rank <=> $a->rank);
            $winner = $all[0]->declaration;
            if ($winner !== null) {
                $this->won[spl_object_id($winner)] = true;
            }
            if (isset(ComputedStyle::INITIAL[$property]) || str_starts_with($property, '--')) {
                $kept[$property] = $all;
            }
        }
        $this->applied[spl_object_id($element)] = $kept;
    }

    /**
     * @param  array<string, list<Applied>>  $said
     * @param  list<Declaration>  $declarations
     */
    private function add(
        array &$said,
        array $declarations,
        ?StyleRule $rule,
        Specificity $specificity,
        int $order,
        Origin $origin = Origin::Author,
    ): void {
        $origin = $rule->origin ?? $origin;
        $layer = $rule === null || $rule->layer === '' ? PHP_INT_MAX : $this->layers[$rule->layer] ?? PHP_INT_MAX;
        foreach ($declarations as $place => $declaration) {
            $items = $origin === Origin::Author ? $this->valueOf($declaration) : self::itemsOf($declaration);
            if ($items === false) {
                continue;
            }
            if ($origin === Origin::Author) {
                $this->counted[spl_object_id($declaration)] = true;
            }
            $rank = [
                $declaration->important ? 5 - $origin->value : $origin->value,
                $rule === null && $origin === Origin::Author ? 1 : 0,
                $declaration->important ? -$layer : $layer,
                $specificity->ids,
                $specificity->classes,
                $specificity->types,
                $order * 10_000 + $place,
            ];
            $names = $declaration->isCustom() ? [$declaration->name] : Longhands::of($declaration->name);
            foreach ($names as $name) {
                $isAsked = isset(ComputedStyle::INITIAL[$name]);
                $value = $isAsked ? self::longhandValue($declaration, $name, $items) : $items;
                $said[$name][] = new Applied($name, $value, $declaration, $rule, $rank);
            }
        }
    }

    /**
     * @param  list<Item>  $items
     * @return list<Item>|null
     */
    private static function longhandValue(Declaration $declaration, string $longhand, array $items): ?array
    {
        // What a variable gives to a shorthand is cut into longhands when it is known.
        foreach ($items as $item) {
            if (Variables::areIn($item)) {
                return $items;
            }
        }

        return Longhands::value($declaration->name, $longhand, $items);
    }

    /** @return list<Item>|false */
    private function valueOf(Declaration $declaration): array|false
    {
        if (! isset(self::$values[$declaration])) {
            $check = ValueCheck::of($declaration);
            self::$values[$declaration] = $check->verdict === Verdict::Valid ? $check->items : false;
        }

        return self::$values[$declaration];
    }

    /** @return list<Item> */
    private static function itemsOf(Declaration $declaration): array
    {
        return Item::list($declaration->tokens, $declaration->from, $declaration->to);
    }
}
