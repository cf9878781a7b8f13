<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Syntax\TokenType;

/** Whether `calc()` and its kin can be worked out (CSS Values 4, sections 10.1 and 10.2). */
final class Calculation
{
    private const FUNCTIONS = ['calc', 'min', 'max', 'clamp'];

    /** What no browser works out in a function; null for any other function. */
    public static function slip(Item $function): ?StyleSlip
    {
        if (! in_array($function->text, self::FUNCTIONS, true) || $function->type !== TokenType::Function) {
            return null;
        }

        return self::spacing($function->inside) ?? self::types($function);
    }

    /** @param  list<Item>  $items */
    private static function spacing(array $items): ?StyleSlip
    {
        foreach ($items as $at => $item) {
            $before = $items[$at - 1] ?? null;
            if ($before !== null && self::isValue($before)) {
                $slip = self::signedNumber($before, $item) ?? self::operator($item);
                if ($slip !== null) {
                    return $slip;
                }
            }
            $slip = self::hyphen($item) ?? ($item->type === TokenType::OpenParen ? self::spacing($item->inside) : null);
            if ($slip !== null) {
                return $slip;
            }
        }

        return null;
    }

    /** `1rem +2px`: the sign is read as one of the number. */
    private static function signedNumber(Item $before, Item $item): ?StyleSlip
    {
        $raw = $item->tokens->raw($item->token);
        if (! self::isNumeric($item) || ($raw[0] !== '+' && $raw[0] !== '-')) {
            return null;
        }
        $end = $item->tokens->stop($item->tokens->after($before->token) - 1);

        return self::space($raw[0], new Span($end, $item->tokens->start($item->token) + 1));
    }

    /** `1rem+ 2px` and `1rem +var(--x)`. */
    private static function operator(Item $item): ?StyleSlip
    {
        if ($item->type !== TokenType::Delim || ($item->text !== '+' && $item->text !== '-')) {
            return null;
        }
        $tokens = $item->tokens;
        $isSpaced = $tokens->type($item->token - 1) === TokenType::Whitespace
            && $tokens->type($item->token + 1) === TokenType::Whitespace;
        $from = $tokens->type($item->token - 1) === TokenType::Whitespace ? $item->token - 1 : $item->token;
        $to = $tokens->type($item->token + 1) === TokenType::Whitespace ? $item->token + 1 : $item->token;

        return $isSpaced ? null : self::space($item->text, $tokens->span($from, $to));
    }

    /** `1rem-2px` is a number with a unit called `rem-2px`. */
    private static function hyphen(Item $item): ?StyleSlip
    {
        $isUnit = $item->type === TokenType::Dimension
            && preg_match('/^([a-z]+)-(?=[\d.(]|$)/', $item->unit(), $unit) === 1
            && Units::typeOf($unit[1]) !== null;
        if (! $isUnit) {
            return null;
        }
        $at = (int) strpos($item->tokens->raw($item->token), '-', 1) + $item->tokens->start($item->token);

        return self::space('-', new Span($at, $at + 1));
    }

    private static function space(string $sign, Span $span): StyleSlip
    {
        return new StyleSlip(
            $span,
            "`$sign` needs a space on both sides in a calculation, so browsers skip this declaration.",
            "Type a space before and after `$sign`.",
            " $sign ",
        );
    }

    private static function types(Item $function): ?StyleSlip
    {
        $span = $function->tokens->span($function->token, $function->tokens->after($function->token) - 1);
        foreach (Item::betweenCommas($function->inside) as $argument) {
            $type = UnitType::ofSum($argument);
            if ($type === UnitType::Mixed) {
                return new StyleSlip(
                    $span,
                    'These cannot be added: one has a unit and one has none, or they are of different kinds.',
                    'Give both a unit of the same kind, such as `px` and `rem`.',
                );
            }
            if ($type === UnitType::Squared) {
                return new StyleSlip(
                    $span,
                    'Two values with units cannot be multiplied, so browsers skip this declaration.',
                    'Take the unit off one of the two.',
                );
            }
        }

        return null;
    }

    private static function isNumeric(Item $item): bool
    {
        return in_array($item->type, [TokenType::Number, TokenType::Percentage, TokenType::Dimension], true);
    }

    private static function isValue(Item $item): bool
    {
        return self::isNumeric($item) || in_array($item->type, [TokenType::Function, TokenType::OpenParen], true);
    }
}
