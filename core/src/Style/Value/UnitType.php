<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Style\Syntax\TokenType;

/** What a calculation gives, as far as its units tell (CSS Values 4, section 10.2, "type checking"). */
enum UnitType
{
    case Number;
    case Length;
    case Percentage;
    case Angle;
    case Time;
    /** cannot be told: a variable, or a function that is not worked out here */
    case Unknown;
    /** a sum of what cannot be added */
    case Mixed;
    /** a product of two values with units */
    case Squared;

    /** @param  list<Item>  $items  a sum */
    public static function ofSum(array $items): self
    {
        $sum = null;
        foreach (self::split($items, '+', '-') as $product) {
            $type = self::ofProduct($product);
            if (in_array($type, [self::Unknown, self::Mixed, self::Squared], true)) {
                return $type;
            }
            $sum = $sum === null ? $type : self::added($sum, $type);
            if ($sum === self::Mixed) {
                return $sum;
            }
        }

        return $sum ?? self::Unknown;
    }

    private static function added(self $one, self $other): self
    {
        if ($one === $other) {
            return $one;
        }
        // What a percentage is one of depends on the property.
        $isPartly = ($one === self::Percentage && $other !== self::Number)
            || ($other === self::Percentage && $one !== self::Number);

        return $isPartly ? ($one === self::Percentage ? $other : $one) : self::Mixed;
    }

    /** @param  list<Item>  $items */
    private static function ofProduct(array $items): self
    {
        $isSlash = fn (Item $item) => $item->type === TokenType::Delim && $item->text === '/';
        $isDivided = array_filter($items, $isSlash) !== [];
        $types = [];
        foreach (self::split($items, '*', '/') as $value) {
            $type = count($value) === 1 ? self::ofValue($value[0]) : self::Unknown;
            if (in_array($type, [self::Unknown, self::Mixed, self::Squared], true)) {
                return $type;
            }
            if ($type !== self::Number) {
                $types[] = $type;
            }
        }
        // A quotient of two lengths is a number in new browsers only.
        if (count($types) > 1) {
            return $isDivided ? self::Unknown : self::Squared;
        }

        return $types[0] ?? self::Number;
    }

    private static function ofValue(Item $item): self
    {
        if ($item->type === TokenType::OpenParen || ($item->type === TokenType::Function && $item->text === 'calc')) {
            return self::ofSum($item->inside);
        }

        return match ($item->type) {
            TokenType::Number => self::Number,
            TokenType::Percentage => self::Percentage,
            TokenType::Dimension => match (Units::typeOf($item->unit())) {
                'length' => self::Length,
                'angle' => self::Angle,
                'time' => self::Time,
                default => self::Unknown,
            },
            default => self::Unknown,
        };
    }

    /**
     * @param  list<Item>  $items
     * @return list<list<Item>> what is between the signs
     */
    private static function split(array $items, string ...$signs): array
    {
        $parts = [[]];
        foreach ($items as $item) {
            if ($item->type === TokenType::Delim && in_array($item->text, $signs, true)) {
                $parts[] = [];
            } else {
                $parts[count($parts) - 1][] = $item;
            }
        }

        return $parts;
    }
}
