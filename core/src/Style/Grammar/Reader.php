<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** Reads the value definition syntax (CSS Values and Units Level 4, section 2). */
final class Reader
{
    private const TOKEN = '~\s*(?:
        (?<property><\'[\w-]+\'>)
        | <(?<type>[\w-]+(?:\(\))?)\s*(?:\[\s*(?<least>[^,\]]+),\s*(?<most>[^\]]+)\])?\s*>
        | (?<function>[\w-]+)\(
        | (?<range>\{\s*\d+\s*(?:,\s*\d*\s*)?\})
        | (?<quoted>\'[^\']+\')
        | (?<word>[\w-]+)
        | (?<sign>\|\||&&|[|?*+\#!\[\](),/:;=<>.^$\~%@{}])
    )~x';

    /** The signs that say something about what is before them or around them, in the definition itself. */
    private const OPERATORS = ['|', '||', '&&', ']', ')'];

    /** @var list<array<string, string>> */
    private array $tokens = [];

    private int $at = 0;

    private function __construct(string $definition)
    {
        preg_match_all(self::TOKEN, $definition, $found, PREG_SET_ORDER | PREG_UNMATCHED_AS_NULL);
        foreach ($found as $token) {
            $this->tokens[] = array_filter(
                $token,
                fn (?string $text, int|string $name) => is_string($name) && $text !== null,
                ARRAY_FILTER_USE_BOTH,
            );
        }
    }

    public static function read(string $definition): GrammarNode
    {
        return (new self($definition))->oneOf();
    }

    private function sign(int $ahead = 0): ?string
    {
        return $this->tokens[$this->at + $ahead]['sign'] ?? null;
    }

    private function takes(string $sign): bool
    {
        if ($this->sign() !== $sign) {
            return false;
        }
        $this->at++;

        return true;
    }

    private function oneOf(): GrammarNode
    {
        $parts = [$this->anyOf()];
        while ($this->takes('|')) {
            $parts[] = $this->anyOf();
        }

        return count($parts) === 1 ? $parts[0] : new OneOf($parts);
    }

    private function anyOf(): GrammarNode
    {
        $parts = [$this->allOf()];
        while ($this->takes('||')) {
            $parts[] = $this->allOf();
        }

        return count($parts) === 1 ? $parts[0] : new InAnyOrder($parts, false);
    }

    private function allOf(): GrammarNode
    {
        $parts = [$this->sequence()];
        while ($this->takes('&&')) {
            $parts[] = $this->sequence();
        }

        return count($parts) === 1 ? $parts[0] : new InAnyOrder($parts, true);
    }

    private function sequence(): GrammarNode
    {
        $parts = [];
        while (isset($this->tokens[$this->at]) && ! in_array($this->sign(), self::OPERATORS, true)) {
            $parts[] = $this->multiplied($this->term());
        }

        return count($parts) === 1 ? $parts[0] : new Sequence($parts);
    }

    private function term(): GrammarNode
    {
        $token = $this->tokens[$this->at++];
        if (isset($token['property'])) {
            return new PropertyValue(trim($token['property'], "<>'"));
        }
        if (isset($token['type'])) {
            return new Type($token['type'], self::limit($token['least'] ?? '-∞'), self::limit($token['most'] ?? '∞'));
        }
        if (isset($token['function'])) {
            return new FunctionCall(strtolower($token['function']), $this->until(')'));
        }
        if (isset($token['quoted'])) {
            $text = trim($token['quoted'], "'");

            return preg_match('/^[\w-]+$/', $text) === 1 ? new Keyword(strtolower($text)) : new Literal($text);
        }
        if (isset($token['word'])) {
            return new Keyword(strtolower($token['word']));
        }
        if (($token['sign'] ?? '') === '[') {
            return $this->until(']');
        }
        if (($token['sign'] ?? '') === '(') {
            return new Block('(', $this->until(')'));
        }

        return new Literal($token['sign'] ?? $token['range'] ?? '');
    }

    private function until(string $close): GrammarNode
    {
        $inside = $this->oneOf();
        $this->takes($close);

        return $inside;
    }

    private function multiplied(GrammarNode $part): GrammarNode
    {
        for (; ;) {
            $range = $this->range();
            if ($range !== null) {
                $this->at++;
                $part = self::repeated($part, $range, false);
            } elseif ($this->takes('?')) {
                $part = new Repeat($part, 0, 1, false);
            } elseif ($this->takes('*')) {
                $part = new Repeat($part, 0, PHP_INT_MAX, false);
            } elseif ($this->takes('+')) {
                $part = new Repeat($part, 1, PHP_INT_MAX, false);
            } elseif ($this->takes('#')) {
                $times = $this->range();
                $this->at += $times === null ? 0 : 1;
                $part = self::repeated($part, $times ?? '{1,}', true);
            } elseif ($this->takes('!')) {
                $part = new Required($part);
            } else {
                return $part;
            }
        }
    }

    /** The range in braces that stands here, such as `{2}`. */
    private function range(): ?string
    {
        return $this->tokens[$this->at]['range'] ?? null;
    }

    /** @param  string  $range  how often, such as `{2}` or `{1,}` */
    private static function repeated(GrammarNode $part, string $range, bool $hasCommas): Repeat
    {
        $numbers = array_map(trim(...), explode(',', trim($range, '{}')));
        $least = (int) $numbers[0];
        $most = isset($numbers[1]) ? ($numbers[1] === '' ? PHP_INT_MAX : (int) $numbers[1]) : $least;

        return new Repeat($part, $least, $most, $hasCommas);
    }

    private static function limit(string $written): float
    {
        $written = trim($written);

        return match ($written) {
            '∞' => INF,
            '-∞', '−∞' => -INF,
            default => (float) $written,
        };
    }
}
