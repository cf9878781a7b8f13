<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Style\Grammar\Block;
use InkedMargin\Core\Style\Grammar\FunctionCall;
use InkedMargin\Core\Style\Grammar\GrammarNode;
use InkedMargin\Core\Style\Grammar\InAnyOrder;
use InkedMargin\Core\Style\Grammar\Keyword;
use InkedMargin\Core\Style\Grammar\Literal;
use InkedMargin\Core\Style\Grammar\OneOf;
use InkedMargin\Core\Style\Grammar\PropertyValue;
use InkedMargin\Core\Style\Grammar\Repeat;
use InkedMargin\Core\Style\Grammar\Required;
use InkedMargin\Core\Style\Grammar\Sequence;
use InkedMargin\Core\Style\Grammar\Type;
use InkedMargin\Core\Style\Syntax\TokenType;

/**
 * Holds the components of a value against a definition. Every part of the definition is asked once for each place in
 * the value: where it may end that begins there. So no value takes long, whatever the definition.
 */
final class Matcher
{
    /** Functions in functions, and types in types, further than this are not looked into. */
    public const DEEPEST = 40;

    /** @var array<string, list<int>> by definition and place */
    private array $known = [];

    /** The furthest component that some part of the definition could not take. */
    private int $furthest = 0;

    private int $depth = 0;

    /** @param  list<Item>  $items */
    private function __construct(private readonly array $items)
    {
    }

    /**
     * @param  list<Item>  $items
     * @return int|null null when all of them match; or else the number of the first that cannot stand where it is, one
     *     past the last where something is missing at the end
     */
    public static function firstWrong(GrammarNode $node, array $items): ?int
    {
        $matcher = new self($items);
        $ends = $matcher->ends($node, 0);

        return in_array(count($items), $ends, true) ? null : max($matcher->furthest, 0, ...$ends);
    }

    /** @param  list<Item>  $items */
    public static function matches(GrammarNode $node, array $items): bool
    {
        return self::firstWrong($node, $items) === null;
    }

    /** @return list<int> the places at which a part may end that begins at one */
    private function ends(GrammarNode $node, int $from): array
    {
        $key = spl_object_id($node).' '.$from;
        if (isset($this->known[$key])) {
            return $this->known[$key];
        }
        if ($this->depth > self::DEEPEST) {
            return [];
        }
        $this->depth++;
        $ends = match (true) {
            $node instanceof Keyword => $this->one($from, fn (Item $item) => $item->type === TokenType::Ident
                && $item->text === $node->word),
            $node instanceof Literal => $this->one($from, fn (Item $item) => $item->text === $node->sign),
            $node instanceof Type => $this->type($node, $from),
            $node instanceof PropertyValue => $this->defined(Definitions::ofProperty($node->name), $from),
            $node instanceof FunctionCall => $this->one($from, fn (Item $item) => $item->type === TokenType::Function
                && $item->text === $node->name && self::matches($node->inside, $item->inside)),
            $node instanceof Block => $this->one($from, fn (Item $item) => $item->text === $node->open
                && self::matches($node->inside, $item->inside)),
            $node instanceof Sequence => $this->sequence($node->parts, $from),
            $node instanceof OneOf => $this->oneOf($node, $from),
            $node instanceof InAnyOrder => $this->inAnyOrder($node, $from),
            $node instanceof Repeat => $this->repeat($node, $from),
            $node instanceof Required => array_values(array_filter(
                $this->ends($node->part, $from),
                fn (int $end) => $end > $from,
            )),
            default => [],
        };
        $this->depth--;

        return $this->known[$key] = $ends;
    }

    /**
     * @param  \Closure(Item): bool  $fits
     * @return list<int>
     */
    private function one(int $at, \Closure $fits): array
    {
        $item = $this->items[$at] ?? null;
        if ($item !== null && $fits($item)) {
            return [$at + 1];
        }
        $this->furthest = max($this->furthest, $at);

        return [];
    }

    /** @return list<int> */
    private function type(Type $type, int $at): array
    {
        $basic = BasicType::named($type->name);
        if ($basic !== null) {
            return $this->one($at, fn (Item $item) => $basic->takes($item, $type->least, $type->most));
        }
        if ($type->name === 'declaration-value' || $type->name === 'any-value' || $type->name === 'whole-value') {
            return range($at, count($this->items));
        }
        $node = Definitions::ofType($type->name);

        // What nobody has written down is not held against anybody.
        return $node === null
            ? $this->one($at, fn (Item $item) => in_array(
                $item->type,
                [TokenType::Ident, TokenType::Function, TokenType::String],
                true,
            ))
            : $this->defined($node, $at);
    }

    /** @return list<int> */
    private function defined(?GrammarNode $node, int $at): array
    {
        return $node === null ? range($at, count($this->items)) : $this->ends($node, $at);
    }

    /**
     * One after the other. A comma is left out where what is before or behind it is left out (CSS Values 4, 2.1), and
     * only there: one that is written has something behind it.
     *
     * @param  list<GrammarNode>  $parts
     * @return list<int>
     */
    private function sequence(array $parts, int $from): array
    {
        /** @var array<int, bool> $places whether something has to follow, by place */
        $places = [$from => false];
        foreach ($parts as $index => $part) {
            $isComma = $part instanceof Literal && $part->sign === ',';
            $next = [];
            foreach ($places as $place => $isOpen) {
                $isBare = $isComma && $index > 0 && ($isOpen || $place === $from);
                foreach ($isBare ? [] : $this->ends($part, $place) as $end) {
                    $opens = $isComma || ($isOpen && $end === $place);
                    $next[$end] = ($next[$end] ?? true) && $opens;
                }
                if ($isComma && $this->isCommaNeedless($from, $place)) {
                    $next[$place] = ($next[$place] ?? true) && $isOpen;
                }
            }
            $places = $next;
        }

        return array_keys(array_filter($places, fn (bool $isOpen) => ! $isOpen));
    }

    private function isCommaNeedless(int $from, int $place): bool
    {
        return $place === $from || $place === count($this->items)
            || ($this->items[$place]->type ?? null) === TokenType::Comma;
    }

    /** @return list<int> */
    private function oneOf(OneOf $node, int $from): array
    {
        $ends = [];
        $item = $this->items[$from] ?? null;
        if ($item !== null && $item->type === TokenType::Ident && isset($node->words[$item->text])) {
            $ends[$from + 1] = true;
        } elseif ($node->words !== []) {
            $this->furthest = max($this->furthest, $from);
        }
        foreach ($node->others as $part) {
            foreach ($this->ends($part, $from) as $end) {
                $ends[$end] = true;
            }
        }

        return array_keys($ends);
    }

    /** @return list<int> */
    private function inAnyOrder(InAnyOrder $node, int $from): array
    {
        $all = (1 << count($node->parts)) - 1;
        $waiting = [[$from, 0]];
        $seen = $ends = [];
        while ($waiting !== []) {
            [$at, $used] = array_pop($waiting);
            if (isset($seen["$at $used"])) {
                continue;
            }
            $seen["$at $used"] = true;
            if ($node->all ? $used === $all : $used !== 0) {
                $ends[$at] = true;
            }
            foreach ($node->parts as $index => $part) {
                if (($used & (1 << $index)) === 0) {
                    foreach ($this->ends($part, $at) as $end) {
                        $waiting[] = [$end, $used | (1 << $index)];
                    }
                }
            }
        }

        return array_keys($ends);
    }

    /** @return list<int> */
    private function repeat(Repeat $node, int $from): array
    {
        $ends = $node->least === 0 ? [$from => true] : [];
        $places = [$from => true];
        $most = min($node->most, count($this->items) + 1);
        for ($times = 1; $times <= $most && $places !== []; $times++) {
            $next = [];
            foreach (array_keys($places) as $place) {
                $begin = $place;
                if ($node->commas && $times > 1) {
                    if (($this->items[$place]->type ?? null) !== TokenType::Comma) {
                        $this->furthest = max($this->furthest, $place);

                        continue;
                    }
                    $begin++;
                }
                foreach ($this->ends($node->part, $begin) as $end) {
                    if ($end > $place || $times <= $node->least) {
                        $next[$end] = true;
                    }
                }
            }
            $places = $next;
            if ($times >= $node->least) {
                $ends += $places;
            }
        }

        return array_keys($ends);
    }
}
