<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Syntax\CssTokenizer;
use InkedMargin\Core\Style\Syntax\Tokens;
use InkedMargin\Core\Style\Syntax\TokenType;

/** Reads selectors (Selectors Level 4, section 18, "Grammar"). */
final class SelectorParser
{
    /** Brackets in brackets further than this are an error. */
    private const DEEPEST = 20;

    /** Section 9, "User Action Pseudo-classes". */
    private const DONE_BY_READERS = ['hover', 'active', 'focus', 'focus-visible', 'focus-within'];

    /** Pseudo-elements that may be written with one colon (section 3.6.1). */
    private const OLD_PSEUDO_ELEMENTS = ['before', 'after', 'first-line', 'first-letter'];

    /** Source: @webref/css 8.7.5, selectors, without those of other vendors, which begin with a hyphen. */
    private const PSEUDO_ELEMENTS = [
        'after', 'backdrop', 'before', 'checkmark', 'clear-icon', 'color-swatch', 'column', 'cue', 'cue-region',
        'details-content', 'field-component', 'field-content', 'field-separator', 'file-selector-button',
        'first-letter', 'first-line', 'grammar-error', 'highlight', 'marker', 'nth-fragment', 'part', 'picker-icon',
        'picker', 'placeholder', 'reveal-icon', 'scroll-button', 'scroll-marker', 'scroll-marker-group', 'search-text',
        'selection', 'slider-fill', 'slider-thumb', 'slider-track', 'slotted', 'spelling-error', 'step-control',
        'step-down', 'step-up', 'target-text', 'view-transition', 'view-transition-group-children',
        'view-transition-group', 'view-transition-image-pair', 'view-transition-new', 'view-transition-old',
    ];

    /** Section 4: what their brackets hold is a list of selectors. */
    private const SELECTOR_FUNCTIONS = ['is', 'where', 'not', 'matches', '-webkit-any', '-moz-any'];

    private int $at;

    private int $depth = 0;

    private function __construct(
        private readonly Tokens $tokens,
        private readonly int $from,
        private readonly int $to,
        private readonly ?SelectorList $around,
        private readonly ?self $outer = null,
    ) {
        $this->at = $from;
    }

    /** @throws SelectorError */
    public static function parse(string $written): SelectorList
    {
        $tokens = CssTokenizer::tokenize($written);

        return self::read($tokens, 0, $tokens->count);
    }

    /**
     * A rule's selector.
     *
     * @param  int  $to  one past the last token
     * @param  SelectorList|null  $around  of the rule around a nested one
     *
     * @throws SelectorError
     */
    public static function read(Tokens $tokens, int $from, int $to, ?SelectorList $around = null): SelectorList
    {
        return (new self($tokens, $from, $to, $around))->list($around === null ? null : Combinator::Descendant);
    }

    /**
     * @param  Combinator|null  $implied  what stands before each that begins with none: of relative selectors
     *
     * @throws SelectorError
     */
    private function list(?Combinator $implied = null): SelectorList
    {
        $first = $this->at;
        $all = [];
        do {
            $all[] = $this->complex($implied);
            $hasMore = $this->at < $this->to && $this->tokens->type($this->at) === TokenType::Comma;
            $this->at += $hasMore ? 1 : 0;
        } while ($hasMore);
        if ($this->at < $this->to) {
            throw $this->unexpected();
        }

        return new SelectorList(trim($this->tokens->rawBetween($first, max($first, $this->to - 1))), $all);
    }

    private function complex(?Combinator $implied): Complex
    {
        $this->space();
        $first = $this->at;
        $compounds = $combinators = [];
        $leading = $this->combinator();
        if ($leading !== null && $implied === null) {
            $this->at = $first;
            throw $this->unexpected();
        }
        $pseudoElement = null;
        do {
            $read = $this->compound();
            $compounds[] = $read->compound;
            $pseudoElement = $read->pseudoElement;
            $last = $this->at - 1;
            $combinator = $this->combinator();
            if ($combinator !== null && $pseudoElement !== null) {
                throw $this->unexpected();
            }
            if ($combinator !== null) {
                $combinators[] = $combinator;
            }
        } while ($combinator !== null);
        if ($implied !== null) {
            $isAlone = $this->around === null || $this->depth > 0;
            $namesParent = ! $isAlone && $leading === null && self::nests($compounds);
            $combinators = $namesParent ? $combinators : [$leading ?? $implied, ...$combinators];
            if (! $isAlone && ! $namesParent) {
                array_unshift($compounds, new Compound([new Nesting($this->around)]));
            }
        }

        return new Complex(
            $compounds,
            $combinators,
            $pseudoElement,
            trim($this->tokens->rawBetween($first, $last)),
            $this->tokens->span($first, $last),
        );
    }

    /** @param  list<Compound>  $compounds */
    private static function nests(array $compounds): bool
    {
        foreach ($compounds as $compound) {
            if (array_filter($compound->parts, fn (Simple $part) => $part instanceof Nesting) !== []) {
                return true;
            }
        }

        return false;
    }

    private function space(): bool
    {
        $before = $this->at;
        while ($this->at < $this->to && $this->tokens->type($this->at) === TokenType::Whitespace) {
            $this->at++;
        }

        return $this->at > $before;
    }

    private function combinator(): ?Combinator
    {
        $hadSpace = $this->space();
        if ($this->at >= $this->to) {
            return null;
        }
        $type = $this->tokens->type($this->at);
        if ($type === TokenType::Delim) {
            foreach ([Combinator::Child, Combinator::NextSibling, Combinator::LaterSibling] as $combinator) {
                if ($this->tokens->isDelim($this->at, $combinator->value)) {
                    $this->at++;
                    $this->space();

                    return $combinator;
                }
            }
        }

        return $hadSpace && $type !== TokenType::Comma && $this->hasCompound()
            ? Combinator::Descendant
            : null;
    }

    private function hasCompound(): bool
    {
        return in_array($this->tokens->type($this->at), [
            TokenType::Ident, TokenType::Hash, TokenType::OpenSquare, TokenType::Colon,
        ], true) || $this->isDelim('*') || $this->isDelim('.') || $this->isDelim('&') || $this->isDelim('|');
    }

    private function isDelim(string $sign): bool
    {
        return $this->at < $this->to && $this->tokens->isDelim($this->at, $sign);
    }

    private function compound(): ParsedCompound
    {
        $parts = [];
        $pseudoElement = null;
        $type = $this->typeSelector();
        if ($type !== null) {
            $parts[] = $type;
        }
        while ($this->at < $this->to) {
            $before = $this->at;
            $token = $this->tokens->type($this->at);
            if ($token === TokenType::Hash && $pseudoElement === null) {
                $parts[] = $this->id();
            } elseif ($token === TokenType::OpenSquare && $pseudoElement === null) {
                $parts[] = $this->attribute();
            } elseif ($token === TokenType::Colon) {
                $found = $this->pseudo();
                if (is_string($found) && ($pseudoElement === null || $found === 'marker')) {
                    $pseudoElement = $found;
                } elseif (! is_string($found) && ($pseudoElement === null || self::mayFollow($found, $pseudoElement))) {
                    $parts[] = $pseudoElement === null ? $found : self::behind($found, $pseudoElement);
                } else {
                    $this->at = $before;
                    throw $this->unexpected();
                }
            } elseif ($pseudoElement !== null) {
                break;
            } elseif ($this->isDelim('&')) {
                $this->at++;
                $parts[] = new Nesting($this->around);
            } elseif ($this->isDelim('.')) {
                $parts[] = $this->class();
            } else {
                break;
            }
        }
        if ($parts === [] && $pseudoElement === null) {
            throw $this->unexpected();
        }

        return new ParsedCompound(new Compound($parts), $pseudoElement);
    }

    /**
     * Section 3.6.3: behind a pseudo-element stands only what a reader does to it, also in a list that forgives what
     * cannot stand there; other vendors' have states of their own.
     */
    private static function mayFollow(Simple $part, string $pseudoElement): bool
    {
        return str_starts_with($pseudoElement, '-')
            || ($part instanceof PseudoClass && in_array($part->name, self::DONE_BY_READERS, true))
            || ($part instanceof SelectorFunction && in_array($part->name, ['is', 'where'], true));
    }

    /** The same without what cannot be said of a pseudo-element. */
    private static function behind(Simple $part, string $pseudoElement): Simple
    {
        if (! $part instanceof SelectorFunction || str_starts_with($pseudoElement, '-')) {
            return $part;
        }
        $left = array_filter(
            $part->list->alternatives,
            fn (Complex $one) => count($one->compounds) === 1 && array_filter(
                $one->subject()->parts,
                fn (Simple $inside) => ! self::mayFollow($inside, $pseudoElement),
            ) === [],
        );

        return new SelectorFunction($part->name, new SelectorList($part->list->written, array_values($left)));
    }

    /** With a namespace before it, which is read and passed over: pages of HTML declare none. */
    private function typeSelector(): ?TypeSelector
    {
        $name = $this->nameOrStar();
        if ($this->isDelim('|') && ! $this->tokens->isDelim($this->at + 1, '=')) {
            $this->at++;
            $local = $this->nameOrStar();
            if ($local === false) {
                throw $this->unexpected();
            }

            return new TypeSelector($local);
        }

        return $name === false ? null : new TypeSelector($name);
    }

    /** @return string|false|null null for `*`, false where neither is there */
    private function nameOrStar(): string|false|null
    {
        if ($this->isDelim('*')) {
            $this->at++;

            return null;
        }

        return $this->at < $this->to && $this->tokens->type($this->at) === TokenType::Ident
            ? $this->tokens->text($this->at++)
            : false;
    }

    private function id(): IdSelector
    {
        $raw = $this->tokens->raw($this->at);
        if (preg_match('~^#(?:-?[a-zA-Z_\x80-\xff\\\\]|--)~', $raw) !== 1) {
            throw $this->unexpected();
        }

        return new IdSelector($this->tokens->text($this->at++));
    }

    private function class(): ClassSelector
    {
        $this->at++;
        if ($this->at >= $this->to || $this->tokens->type($this->at) !== TokenType::Ident) {
            $this->at--;
            throw $this->unexpected();
        }

        return new ClassSelector($this->tokens->text($this->at++));
    }

    private function attribute(): AttributeSelector
    {
        $close = $this->tokens->closeOf($this->at);
        if ($close >= $this->to) {
            throw $this->unexpected();
        }
        $at = $this->tokens->skipSpace($this->at + 1);
        // [*|name], [|name] and [svg|name]
        if (($this->tokens->type($at) === TokenType::Ident || $this->tokens->isDelim($at, '*'))
            && $this->tokens->isDelim($at + 1, '|') && $this->tokens->type($at + 2) === TokenType::Ident) {
            $at += 2;
        } elseif ($this->tokens->isDelim($at, '|')) {
            $at++;
        }
        $name = $this->tokens->type($at) === TokenType::Ident ? $this->tokens->text($at) : throw $this->unexpected($at);
        $at = $this->tokens->skipSpace($at + 1);
        if ($at === $close) {
            $this->at = $close + 1;

            return new AttributeSelector($name);
        }
        $operator = '';
        foreach (['~', '|', '^', '$', '*'] as $sign) {
            $operator = $this->tokens->isDelim($at, $sign) ? $sign : $operator;
        }
        $at += $operator === '' ? 0 : 1;
        if (! $this->tokens->isDelim($at, '=')) {
            throw $this->unexpected($at);
        }
        $at = $this->tokens->skipSpace($at + 1);
        if (! in_array($this->tokens->type($at), [TokenType::Ident, TokenType::String], true)) {
            throw $this->unexpected($at);
        }
        $value = $this->tokens->text($at);
        $at = $this->tokens->skipSpace($at + 1);
        $flag = '';
        if ($this->tokens->type($at) === TokenType::Ident && $at < $close) {
            $flag = strtolower($this->tokens->text($at));
            $at = $this->tokens->skipSpace($at + 1);
        }
        if ($at !== $close || ! in_array($flag, ['', 'i', 's'], true)) {
            throw $this->unexpected($at);
        }
        $this->at = $close + 1;

        return new AttributeSelector($name, "$operator=", $value, $flag);
    }

    /** @return Simple|string the name of a pseudo-element */
    private function pseudo(): Simple|string
    {
        $first = $this->at++;
        $isElement = $this->tokens->type($this->at) === TokenType::Colon && $this->at < $this->to;
        $this->at += $isElement ? 1 : 0;
        $type = $this->at < $this->to ? $this->tokens->type($this->at) : null;
        if ($type !== TokenType::Ident && $type !== TokenType::Function) {
            $this->at = $first;
            throw $this->unexpected();
        }
        $name = strtolower($this->tokens->text($this->at));
        if (! $isElement && $type === TokenType::Ident && in_array($name, self::OLD_PSEUDO_ELEMENTS, true)) {
            $isElement = true;
        }
        if ($isElement) {
            return $this->pseudoElement($first, $name);
        }

        return $type === TokenType::Function ? $this->pseudoFunction($first, $name) : $this->pseudoClass($first, $name);
    }

    /** Reads the name of a pseudo-element, where the parser is. */
    private function pseudoElement(int $first, string $name): string
    {
        if (! in_array($name, self::PSEUDO_ELEMENTS, true) && ! str_starts_with($name, '-')) {
            throw $this->unknown($first, $this->at, "::$name");
        }
        $this->at = $this->tokens->after($this->at);

        return $name;
    }

    private function pseudoClass(int $first, string $name): PseudoClass
    {
        if (! PseudoClass::isKnown($name) || $name === 'lang') {
            throw $this->unknown($first, $this->at, ":$name");
        }
        $this->at++;

        return new PseudoClass($name);
    }

    private function pseudoFunction(int $first, string $name): Simple
    {
        $open = $this->at;
        $close = $this->tokens->closeOf($open);
        if ($close >= $this->to) {
            throw $this->unexpected();
        }
        $this->at = $close + 1;
        if (in_array($name, self::SELECTOR_FUNCTIONS, true)) {
            $list = $this->inside($open + 1, $close, null);

            return new SelectorFunction(match ($name) {
                'not', 'where' => $name, default => 'is',
            }, $list);
        }
        if ($name === 'has') {
            return new Has($this->inside($open + 1, $close, Combinator::Descendant)->alternatives);
        }
        if (preg_match('/^nth-(last-)?(child|of-type)$/', $name, $parts) === 1) {
            return $this->nth($open + 1, $close, $parts[2] === 'child' ? 'child' : 'type', $parts[1] !== '');
        }
        if (! PseudoClass::isKnown($name)) {
            throw $this->unknown($first, $open, ":$name()");
        }

        return new PseudoClass($name, strtolower($this->tokens->rawBetween($open + 1, $close - 1)));
    }

    private function inside(int $from, int $to, ?Combinator $implied): SelectorList
    {
        if ($this->depth >= self::DEEPEST) {
            throw $this->unexpected($from);
        }
        $inner = new self($this->tokens, $from, $to, $this->around, $this->outer ?? $this);
        $inner->depth = $this->depth + 1;

        return $inner->list($implied);
    }

    /** CSS Syntax Level 3, section 6: An+B, with `of` and selectors behind it (Selectors 4, 13.3.1). */
    private function nth(int $from, int $to, string $of, bool $fromEnd): NthChild
    {
        $formula = $to;
        for ($at = $from; $at < $to; $at = $this->tokens->after($at)) {
            if ($this->tokens->type($at) === TokenType::Ident && strcasecmp($this->tokens->text($at), 'of') === 0) {
                $formula = $at;
                break;
            }
        }
        $written = strtolower(trim($formula > $from ? $this->tokens->rawBetween($from, $formula - 1) : ''));
        $pattern = '/^(?:(?<even>even)|(?<odd>odd)|(?<a>[+-]?\d*)n(?:\s*(?<sign>[+-])\s*(?<b>\d+))?|(?<only>[+-]?\d+))$/';
        if (
            preg_match($pattern, $written, $parts, PREG_UNMATCHED_AS_NULL) !== 1
            || ($of === 'type' && $formula !== $to)
        ) {
            throw $this->unexpected($from);
        }
        $a = match ($parts['a'] ?? null) {
            null => isset($parts['only']) ? 0 : 2,
            '', '+' => 1,
            '-' => -1,
            default => self::whole((string) $parts['a']),
        };
        $b = match (true) {
            isset($parts['odd']) => 1,
            isset($parts['only']) => self::whole($parts['only']),
            default => self::whole(($parts['sign'] ?? '').($parts['b'] ?? '0')),
        };
        $among = $formula === $to ? null : $this->inside($formula + 1, $to, null);

        return new NthChild($of, $fromEnd, $a, $b, $among);
    }

    /** No list of siblings is longer than this. */
    private static function whole(string $digits): int
    {
        return (int) max(-2_000_000_000, min(2_000_000_000, (float) $digits));
    }

    private function unexpected(?int $at = null): SelectorError
    {
        $at ??= $this->at;
        $all = $this->outer ?? $this;
        $written = trim($this->tokens->rawBetween($all->from, $all->to - 1));
        if ($at >= $this->to) {
            return new SelectorError(
                "`$written` is no selector: something is missing at its end.",
                Span::at($this->tokens->start($at)),
            );
        }
        $shown = $this->tokens->raw($at);

        return new SelectorError(
            "`$written` is no selector: `$shown` cannot stand there.",
            $this->tokens->span($at, $at),
        );
    }

    private function unknown(int $first, int $last, string $name): SelectorError
    {
        return new SelectorError("There is no `$name`.", $this->tokens->span($first, $last), $name);
    }
}
