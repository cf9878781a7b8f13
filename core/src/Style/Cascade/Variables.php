<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Style\Syntax\CssTokenizer;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Item;

/** Puts the values of custom properties in the place of `var()` (CSS Variables 1, section 3). */
final class Variables
{
    /** A value that grows beyond so many bytes is given up (section 3.3, "safely handling overly-long variables"). */
    private const MAX_BYTES = 20_000;

    private const MAX_STEPS = 2_000;

    private int $steps = 0;

    /** @param  array<string, string>  $values  by name, as they were written */
    private function __construct(private readonly array $values)
    {
    }

    public static function areIn(Item $item): bool
    {
        if ($item->type === TokenType::Function && $item->text === 'var') {
            return true;
        }
        foreach ($item->inside as $one) {
            if (self::areIn($one)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<string, string>  $values  by name, as they were written
     * @return string|null the value without any `var()`; null where one of them is not known, or goes round in a circle
     */
    public static function replace(string $value, array $values): ?string
    {
        return (new self($values))->resolve($value, []);
    }

    /** @param  array<string, true>  $inside  the names that are being resolved */
    private function resolve(string $value, array $inside): ?string
    {
        if (stripos($value, 'var(') === false) {
            return $value;
        }
        if (++$this->steps > self::MAX_STEPS) {
            return null;
        }
        $tokens = CssTokenizer::tokenize($value);
        $result = '';
        for ($at = 0; $at < $tokens->count; $at++) {
            if ($tokens->type($at) !== TokenType::Function || strcasecmp($tokens->text($at), 'var') !== 0) {
                $result .= $tokens->raw($at);

                continue;
            }
            $close = $tokens->closeOf($at);
            $nameAt = $tokens->skipSpace($at + 1);
            $name = $tokens->text($nameAt);
            $comma = $tokens->skipSpace($nameAt + 1);
            $fallback = $tokens->type($comma) === TokenType::Comma && $comma < $close
                ? ($comma + 1 < $close ? $tokens->rawBetween($comma + 1, $close - 1) : '')
                : null;
            $found = isset($this->values[$name]) && ! isset($inside[$name])
                ? $this->resolve($this->values[$name], $inside + [$name => true])
                : null;
            $found ??= $fallback === null ? null : $this->resolve($fallback, $inside);
            if ($found === null) {
                return null;
            }
            $result .= $found;
            $at = min($close, $tokens->count);
            if (strlen($result) > self::MAX_BYTES) {
                return null;
            }
        }

        return $result;
    }
}
