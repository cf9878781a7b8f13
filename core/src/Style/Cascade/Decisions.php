<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Style\Selector\Complex;
use InkedMargin\Core\Style\Selector\Matching;
use InkedMargin\Core\Style\Selector\Specificity;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\ValueCheck;
use InkedMargin\Core\Style\Value\Verdict;

/**
 * What of all that is said of an element wins (CSS Cascade 5, section 6), for one list of rules: the same for all
 * elements, of whichever page, that are told the same. Custom properties and those that a check asks about are kept
 * with all that was said of them; of the others it is noted which declarations win somewhere.
 */
final class Decisions
{
    /** @var array<string, array{ComputedStyle, bool}> computed styles, by their parent's and the rules that apply */
    private array $looks = [];

    /** @var array<string, array<string, list<Applied>>> by what is told, then by property: the winner first */
    private array $applied = [];

    /**
     * @var array<int, true> object ids of the author's declarations that win for some element, with some of their
     *     longhands
     */
    private array $won = [];

    /** @var array<int, true> object ids of the author's declarations that count for some element */
    private array $counted = [];

    /** @var array<int, Defeat> what beat a declaration at last, by the object id of the declaration */
    private array $beaten = [];

    /** @var array<int, array<string, list<Item>|null>> what a declaration says, by its object id */
    private array $longhands = [];

    /** @var array<int, array<string, list<Item>|null>> what one of the browser's says, likewise */
    private static array $browsers = [];

    /** @var array<int, array{list<array{int, StyleRule, Complex}>, string}> what matches, by standing, and its key */
    private array $matched = [];

    /**
     * @param  RuleIndex  $index  the browser's rules, and the author's
     * @param  array<string, int>  $layers  the order of layers, by name
     */
    private function __construct(private readonly RuleIndex $index, private readonly array $layers)
    {
    }

    /**
     * @param  list<StyleRule>  $rules  of the author, in order
     * @param  bool  $isQuirky  whether the pages are in quirks mode
     */
    public static function of(array $rules, bool $isQuirky): self
    {
        $applying = array_values(array_filter($rules, fn (StyleRule $rule) => $rule->applies));
        $layers = array_filter(
            array_map(fn (StyleRule $rule) => $rule->layer, $rules),
            fn (string $layer) => $layer !== '',
        );

        return new self(
            Defaults::rules($isQuirky)->with($applying),
            array_flip(array_values(array_unique($layers))),
        );
    }

    /** The same rules, with nothing decided yet: for elements in other states. */
    public function forOtherStates(): self
    {
        return new self($this->index->forOtherStates(), $this->layers);
    }

    /**
     * @param  int  $around  where the parent of the element stands; 0 for the root
     * @return array{int, list<array{int, StyleRule, Complex}>, string} where the element stands, what matches it, and a
     *     key that is the same for the same
     */
    public function matching(Element $element, int $around, Matching $matching): array
    {
        [$standing, $matched, $isOfStanding] = $this->index->matching($element, $around, $matching);
        [$found, $key] = $isOfStanding ? $this->matched[$standing] ??= self::keyed($matched) : self::keyed($matched);

        return [$standing, $found, $key];
    }

    /**
     * @param  list<array{int, StyleRule, Complex}>  $matched
     * @return array{list<array{int, StyleRule, Complex}>, string} what is about the element itself, and a key
     */
    private static function keyed(array $matched): array
    {
        $found = [];
        $key = '';
        foreach ($matched as $entry) {
            if ($entry[2]->pseudoElement === null) {
                $found[] = $entry;
                $key .= "$entry[0]:{$entry[2]->span->start} ";
            }
        }

        return [$found, $key];
    }

    /**
     * @return array{ComputedStyle, bool}|null what another element of such a parent came to, and whether its size stems
     *     from a keyword
     */
    public function look(string $alike): ?array
    {
        return $this->looks[$alike] ?? null;
    }

    public function keepLook(string $alike, ComputedStyle $style, bool $isKeyword): void
    {
        $this->looks[$alike] = [$style, $isKeyword];
    }

    /**
     * @param  string  $key  the same for the same things that are told
     * @param  list<array{int, StyleRule, Complex}>  $matched
     * @param  list<Declaration>  $hints
     * @param  list<Declaration>  $inline
     * @return array<string, list<Applied>> by property, the winner first
     */
    public function on(string $key, array $matched, array $hints, array $inline, Matching $matching): array
    {
        return $this->applied[$key] ??= $this->decide($matched, $hints, $inline, $matching);
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

    /** What a declaration lost against; null when it never did. */
    public function beatenBy(Declaration $declaration): ?Defeat
    {
        return $this->beaten[spl_object_id($declaration)] ?? null;
    }

    /**
     * @param  list<array{int, StyleRule, Complex}>  $matched
     * @param  list<Declaration>  $hints
     * @param  list<Declaration>  $inline
     * @return array<string, list<Applied>> by property, the winner first
     */
    private function decide(array $matched, array $hints, array $inline, Matching $matching): array
    {
        $said = [];
        foreach ($matched as [$order, $rule, $selector]) {
            $matching->take(count($rule->declarations));
            $this->add($said, $rule->declarations, $rule, $selector->specificity, $order);
        }
        $this->add($said, $hints, null, new Specificity, 0, Origin::Hint);
        $this->add($said, $inline, null, new Specificity, 0);
        $kept = [];
        foreach ($said as $property => $all) {
            if (count($all) > 1) {
                usort($all, fn (Applied $a, Applied $b) => $b->rank <=> $a->rank);
            }
            $winner = $all[0]->declaration;
            if ($winner !== null) {
                $this->won[spl_object_id($winner)] = true;
            }
            foreach (array_slice($all, 1) as $loser) {
                if ($loser->declaration !== null) {
                    $this->beaten[spl_object_id($loser->declaration)] = new Defeat($all[0], $loser);
                }
            }
            if (isset(ComputedStyle::INITIAL[$property]) || str_starts_with($property, '--')) {
                $kept[$property] = $all;
            }
        }

        return $kept;
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
            $longhands = $this->saidBy($declaration, $rule, $origin);
            if ($longhands === []) {
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
            foreach ($longhands as $name => $value) {
                $said[$name][] = new Applied($name, $value, $declaration, $rule, $rank);
            }
        }
    }

    /**
     * @return array<string, list<Item>|null> what a declaration says: properties with their values; none where a
     *     browser skips it
     */
    private function saidBy(Declaration $declaration, ?StyleRule $rule, Origin $origin): array
    {
        // The declarations of rules last as long as this does, and the browser's for ever; those of attributes may not.
        return match (true) {
            $rule === null => self::longhandsOf($declaration, $origin),
            $origin === Origin::Browser => self::$browsers[spl_object_id($declaration)] ??= self::longhandsOf(
                $declaration,
                $origin,
            ),
            default => $this->longhands[spl_object_id($declaration)] ??= self::longhandsOf($declaration, $origin),
        };
    }

    /** @return array<string, list<Item>|null> */
    private static function longhandsOf(Declaration $declaration, Origin $origin): array
    {
        $items = $origin === Origin::Author ? self::valueOf($declaration) : self::itemsOf($declaration);
        if ($items === false) {
            return [];
        }
        $values = [];
        foreach ($declaration->isCustom() ? [$declaration->name] : Longhands::of($declaration->name) as $name) {
            $isAsked = isset(ComputedStyle::INITIAL[$name]);
            $values[$name] = $isAsked ? self::longhandValue($declaration, $name, $items) : $items;
        }

        return $values;
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
    private static function valueOf(Declaration $declaration): array|false
    {
        $check = ValueCheck::of($declaration);

        return $check->verdict === Verdict::Valid ? $check->items() : false;
    }

    /** @return list<Item> */
    private static function itemsOf(Declaration $declaration): array
    {
        return Item::list($declaration->tokens, $declaration->from, $declaration->to);
    }
}
