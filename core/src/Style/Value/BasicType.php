<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Style\Syntax\TokenType;

/** The types that are made of no others (CSS Values and Units Level 4, sections 3 to 7; CSS Color 4, 5.2). */
enum BasicType: string
{
    case Number = 'number';
    case Integer = 'integer';
    case Percentage = 'percentage';
    case Length = 'length';
    case LengthPercentage = 'length-percentage';
    case Angle = 'angle';
    case AnglePercentage = 'angle-percentage';
    case Time = 'time';
    case TimePercentage = 'time-percentage';
    case Frequency = 'frequency';
    case FrequencyPercentage = 'frequency-percentage';
    case Resolution = 'resolution';
    case Flex = 'flex';
    case Decibel = 'decibel';
    case Semitones = 'semitones';
    case Dimension = 'dimension';
    case Zero = 'zero';
    case Ident = 'ident';
    case CustomIdent = 'custom-ident';
    case DashedIdent = 'dashed-ident';
    case String = 'string';
    case Url = 'url';
    case HexColor = 'hex-color';
    case Hash = 'hash-token';

    /** The names of the standard for the same. */
    private const OTHERS = [
        'number-token' => self::Number, 'ident-token' => self::Ident, 'string-token' => self::String,
        'url-token' => self::Url, 'url()' => self::Url, 'dimension-token' => self::Dimension,
        'extension-name' => self::DashedIdent, 'custom-property-name' => self::DashedIdent, 'id' => self::Hash,
        'family-name' => self::CustomIdent, 'voice-family-name' => self::CustomIdent, 'target-name' => self::String,
    ];

    /** CSS Values 4, section 10: what may be written in place of a number of any type. */
    public const MATH = [
        'calc', 'min', 'max', 'clamp', 'round', 'mod', 'rem', 'sin', 'cos', 'tan', 'asin', 'acos', 'atan', 'atan2',
        'pow',
        'sqrt', 'hypot', 'log', 'exp', 'abs', 'sign', 'progress', 'calc-size', 'sibling-index', 'sibling-count',
        '-webkit-calc', '-moz-calc', 'random', 'calc-mix',
    ];

    /** CSS Values 4, section 3.2 */
    private const WIDE = ['initial', 'inherit', 'unset', 'revert', 'revert-layer', 'default'];

    public static function named(string $name): ?self
    {
        return self::OTHERS[$name] ?? self::tryFrom($name);
    }

    public function takes(Item $item, float $least, float $most): bool
    {
        return match ($this) {
            self::Ident => $item->type === TokenType::Ident,
            self::CustomIdent => $item->type === TokenType::Ident && ! in_array($item->text, self::WIDE, true),
            self::DashedIdent => $item->type === TokenType::Ident && str_starts_with($item->text, '--'),
            self::String => $item->type === TokenType::String,
            self::Url => $item->type === TokenType::Url
                || ($item->type === TokenType::Function && $item->text === 'url'),
            self::Hash => $item->type === TokenType::Hash,
            self::HexColor => $item->type === TokenType::Hash
                && preg_match('/^(?:[0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/i', $item->text) === 1,
            default => $this->takesNumber($item, $least, $most),
        };
    }

    private function takesNumber(Item $item, float $least, float $most): bool
    {
        if ($item->type === TokenType::Function) {
            return in_array($item->text, self::MATH, true) && $this->takesMath($item);
        }
        if (! in_array($item->type, [TokenType::Number, TokenType::Percentage, TokenType::Dimension], true)) {
            return false;
        }
        $number = $item->number();
        $type = Units::typeOf($item->unit());
        $fits = $this->takesUnit($item, $number);

        return $fits && $number >= $least && $number <= $most;
    }

    private function takesUnit(Item $item, ?float $number): bool
    {
        $type = Units::typeOf($item->unit());

        return match ($this) {
            self::Integer => $item->isInteger(),
            self::Zero => $type === 'number' && $number === 0.0,
            self::Dimension => $item->type === TokenType::Dimension,
            self::Length => $type === 'length' || ($type === 'number' && $number === 0.0),
            self::LengthPercentage => $type === 'length' || $type === 'percentage'
                || ($type === 'number' && $number === 0.0),
            self::AnglePercentage => $type === 'angle' || $type === 'percentage',
            self::TimePercentage => $type === 'time' || $type === 'percentage',
            self::FrequencyPercentage => $type === 'frequency' || $type === 'percentage',
            default => $type === $this->value,
        };
    }

    /** By the units in it: what is multiplied and divided is not worked out. */
    private function takesMath(Item $item): bool
    {
        $types = array_keys(self::typesIn($item));
        $types = array_values(array_diff($types, ['number']));
        if ($types === []) {
            return in_array($this, [self::Number, self::Integer], true);
        }
        $allowed = match ($this) {
            self::LengthPercentage => ['length', 'percentage'],
            self::AnglePercentage => ['angle', 'percentage'],
            self::TimePercentage => ['time', 'percentage'],
            self::FrequencyPercentage => ['frequency', 'percentage'],
            // A quotient of two of one type is a number, and a sign or a sine too.
            self::Number, self::Integer => $types,
            default => [$this->value],
        };

        return array_diff($types, $allowed) === [];
    }

    /** @return array<string, true> */
    private static function typesIn(Item $item): array
    {
        $types = [];
        foreach ($item->inside as $one) {
            if ($one->inside !== []) {
                $types += self::typesIn($one);
            } elseif (in_array($one->type, [TokenType::Number, TokenType::Percentage, TokenType::Dimension], true)) {
                $types[Units::typeOf($one->unit()) ?? 'unknown'] = true;
            }
        }

        return $types;
    }
}
