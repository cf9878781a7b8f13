<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Style\Grammar\GrammarNode;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\Tokens;
use InkedMargin\Core\Style\Syntax\TokenType;

/** What a browser makes of a declaration: whether it knows the property, and takes the value. */
final class ValueCheck
{
    /** CSS Values 4, section 3.2: alone, any property may hold these. */
    private const WIDE = ['initial', 'inherit', 'unset', 'revert', 'revert-layer'];

    /** Functions that are only worked out when the value is used (CSS Variables 1; CSS Values 5). */
    private const LATE = ['var', 'env', 'attr', 'if', 'inherit', 'random-item', 'first-valid', 'toggle'];

    /** Tokens of a value: longer ones are taken as they are. Nobody writes so many by hand. */
    private const LONGEST_VALUE = 5_000;

    private const MAX_KNOWN = 5_000;

    /** Bytes of a property with its value. */
    private const LONGEST_KNOWN = 200;

    private const SHAPES = [
        '/"(?:[^"\\\\\n]|\\\\.)*"|\'(?:[^\'\\\\\n]|\\\\.)*\'/',
        '/#[0-9a-f]{6}(?![\w-])/i',
        '/(?<![\w.#%-])(?:\d+(?:\.\d+)?|\.\d+)(?:px|r?em)(?![\w%-])/i',
    ];

    /** @var array<string, int|null> the first wrong component by property and value */
    private static array $places = [];

    /** @var array<string, true> properties with values that browsers take, as they were written */
    private static array $valid = [];

    /** @var \WeakMap<Declaration, self> several ask about each */
    private static \WeakMap $known;

    /**
     * The tokens and not the declaration, which would otherwise never be let go of by the map that it is a key of.
     *
     * @param  Item|null  $wrong  the first component that cannot stand where it is; null where something is missing at
     *     the end
     * @param  list<Item>|null  $items  null where nobody has asked yet
     * @param  StyleSlip|null  $slip  why a value is lost whose parts are right
     */
    private function __construct(
        public readonly Verdict $verdict,
        public readonly ?Item $wrong,
        private readonly Tokens $tokens,
        private readonly int $from,
        private readonly int $to,
        private ?array $items,
        public readonly ?StyleSlip $slip = null,
    ) {
    }

    public static function of(Declaration $declaration): self
    {
        self::$known ??= new \WeakMap;

        return self::$known[$declaration] ??= self::known($declaration);
    }

    /** @return list<Item> the components of the value */
    public function items(): array
    {
        return $this->items ??= Item::list($this->tokens, $this->from, $this->to);
    }

    /** A sheet writes the same declarations again and again: what browsers take once they take everywhere. */
    private static function known(Declaration $declaration): self
    {
        if ($declaration->to - $declaration->from > self::LONGEST_VALUE) {
            return self::result($declaration, Verdict::Valid, null, []);
        }
        $key = "$declaration->name\0".$declaration->value();
        if (isset(self::$valid[$key])) {
            return self::result($declaration, Verdict::Valid, null, null);
        }
        $check = self::check($declaration);
        if ($check->verdict === Verdict::Valid && strlen($key) <= self::LONGEST_KNOWN) {
            self::$valid = count(self::$valid) >= self::MAX_KNOWN ? [] : self::$valid;
            self::$valid[$key] = true;
        }

        return $check;
    }

    /** @param  list<Item>|null  $items */
    private static function result(
        Declaration $declaration,
        Verdict $verdict,
        ?Item $wrong,
        ?array $items,
        ?StyleSlip $slip = null,
    ): self {
        return new self($verdict, $wrong, $declaration->tokens, $declaration->from, $declaration->to, $items, $slip);
    }

    private static function check(Declaration $declaration): self
    {
        $items = Item::list($declaration->tokens, $declaration->from, $declaration->to);
        if ($declaration->isCustom()) {
            return self::result($declaration, Verdict::Valid, null, $items);
        }
        if (! Definitions::isProperty($declaration->name)) {
            return self::result(
                $declaration,
                str_starts_with($declaration->name, '-') ? Verdict::Vendor : Verdict::UnknownProperty,
                null,
                $items,
            );
        }
        if (count($items) === 1 && in_array($items[0]->text, self::WIDE, true)) {
            return self::result($declaration, Verdict::Valid, null, $items);
        }
        if (self::has(
            $items,
            fn (Item $item) => in_array($item->type, [TokenType::BadString, TokenType::BadUrl], true),
        )) {
            return self::result($declaration, Verdict::Broken, null, $items);
        }
        // A trick for one old browser (common practice): all others skip the declaration, as they are meant to.
        if (preg_match('/\\\\[09]\s*$/', $declaration->value()) === 1) {
            return self::result($declaration, Verdict::Vendor, null, $items);
        }
        $slip = ValueSlips::first($declaration->name, $items);
        if ($slip !== null) {
            return self::result($declaration, Verdict::Invalid, null, $items, $slip);
        }
        if (self::has(
            $items,
            fn (Item $item) => $item->type === TokenType::Function && in_array($item->text, self::LATE, true),
        )) {
            return self::result($declaration, Verdict::Valid, null, $items);
        }
        $node = Definitions::ofProperty($declaration->name);
        $wrong = $node === null ? null : self::firstWrong($node, $declaration, $items);
        if ($wrong === null) {
            $verdict = $items === [] && $node !== null ? Verdict::Invalid : Verdict::Valid;

            return self::result($declaration, $verdict, null, $items);
        }

        return self::result(
            $declaration,
            $declaration->name[0] === '-' || self::has($items, self::isVendors(...))
                ? Verdict::Vendor
                : Verdict::Invalid,
            $items[$wrong] ?? null,
            $items,
        );
    }

    /**
     * A class writes the same values again and again: what was held against its definition once is known.
     *
     * @param  list<Item>  $items
     */
    private static function firstWrong(GrammarNode $node, Declaration $declaration, array $items): ?int
    {
        $key = "$declaration->name\0".self::shape($declaration->value());
        if (strlen($key) > self::LONGEST_KNOWN) {
            return Matcher::firstWrong($node, $items);
        }
        if (! array_key_exists($key, self::$places)) {
            if (count(self::$places) >= self::MAX_KNOWN) {
                self::$places = [];
            }
            self::$places[$key] = Matcher::firstWrong($node, $items);
        }

        return self::$places[$key];
    }

    /**
     * A value with what no definition asks about left out: what a string says, which colour of a form it is, how long a
     * length is. Definitions ask for the sign of a length, and for nothing else.
     */
    private static function shape(string $value): string
    {
        return preg_replace(self::SHAPES, ['""', '#000000', '1px'], $value) ?? $value;
    }

    private static function isVendors(Item $item): bool
    {
        return in_array($item->type, [TokenType::Ident, TokenType::Function], true)
            && preg_match('/^(?:-(?:webkit|moz|ms|o|khtml|apple)-|progid|expression$|alpha$)/', $item->text) === 1;
    }

    /**
     * @param  list<Item>  $items
     * @param  \Closure(Item): bool  $is
     */
    private static function has(array $items, \Closure $is): bool
    {
        foreach ($items as $item) {
            if ($is($item) || self::has($item->inside, $is)) {
                return true;
            }
        }

        return false;
    }
}
