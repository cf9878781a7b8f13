<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Style\Colour\ColourReader;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Definitions;
use InkedMargin\Core\Style\Value\Item;

/** What a declaration sets: itself, or of a shorthand its longhands. */
final class Longhands
{
    private const WIDE = ['initial', 'inherit', 'unset', 'revert', 'revert-layer'];

    private const SIZES = [
        'xx-small', 'x-small', 'small', 'medium', 'large', 'x-large', 'xx-large', 'xxx-large', 'larger', 'smaller',
    ];

    private const LINES = ['none', 'underline', 'overline', 'line-through', 'blink'];

    private const WEIGHTS = ['bold', 'bolder', 'lighter'];

    /** @return list<string> */
    public static function of(string $property): array
    {
        if ($property === 'all') {
            return array_keys(ComputedStyle::INITIAL);
        }

        // Newer drafts cut some of these in two, which no check asks for.
        return isset(ComputedStyle::INITIAL[$property]) ? [$property] : Definitions::longhands($property);
    }

    /**
     * What a declaration of a property gives to one of its longhands.
     *
     * @param  list<Item>  $items
     * @return list<Item>|null null where it sets that back to its initial value
     */
    public static function value(string $property, string $longhand, array $items): ?array
    {
        if ($property === $longhand || (count($items) === 1 && in_array($items[0]->text, self::WIDE, true))) {
            return $items;
        }

        return match ("$property $longhand") {
            'background background-color' => self::first($items, self::isColour(...)),
            'background background-image' => self::first($items, self::isImage(...)),
            'font font-size' => self::first($items, self::isSize(...)),
            'font font-weight' => self::first(
                array_slice($items, 0, self::sizeAt($items)),
                fn (Item $one) => in_array($one->text, self::WEIGHTS, true) || $one->type === TokenType::Number,
            ),
            'font font-family' => self::familyOf($items),
            'text-decoration text-decoration-line' => self::all(
                $items,
                fn (Item $one) => in_array($one->text, self::LINES, true),
            ),
            'list-style list-style-type' => self::first($items, fn (Item $one) => $one->type === TokenType::String
                || ($one->type === TokenType::Ident && ! in_array($one->text, ['inside', 'outside'], true))),
            'margin margin-top' => self::side($items, 0),
            'margin margin-right' => self::side($items, 1),
            'margin margin-bottom' => self::side($items, 2),
            'margin margin-left' => self::side($items, 3),
            default => null,
        };
    }

    /**
     * What a list of one to four values gives to a side, from the top one on clockwise (CSS 2.1, 8.3).
     *
     * @param  list<Item>  $items
     * @return list<Item>|null
     */
    private static function side(array $items, int $side): ?array
    {
        $item = $items[$side] ?? $items[max(0, $side - 2)] ?? $items[0] ?? null;

        return $item === null ? null : [$item];
    }

    /**
     * @param  list<Item>  $items
     * @param  \Closure(Item): bool  $is
     * @return list<Item>|null
     */
    private static function first(array $items, \Closure $is): ?array
    {
        foreach ($items as $item) {
            if ($is($item)) {
                return [$item];
            }
        }

        return null;
    }

    /**
     * @param  list<Item>  $items
     * @param  \Closure(Item): bool  $is
     * @return list<Item>|null
     */
    private static function all(array $items, \Closure $is): ?array
    {
        $all = array_values(array_filter($items, $is));

        return $all === [] ? null : $all;
    }

    private static function isColour(Item $item): bool
    {
        return ColourReader::read($item) !== null || $item->text === 'currentcolor'
            || in_array($item->text, ['color-mix', 'light-dark', 'contrast-color'], true);
    }

    private static function isImage(Item $item): bool
    {
        return $item->type === TokenType::Url || ($item->type === TokenType::Function
            && preg_match(
                '/^(?:url|(?:-\w+-)?(?:repeating-)?(?:linear|radial|conic)-gradient|(?:-\w+-)?image-set|image|cross-fade|element|paint)$/',
                $item->text,
            ) === 1);
    }

    private static function isSize(Item $item): bool
    {
        return in_array($item->text, self::SIZES, true) || $item->type === TokenType::Dimension
            || $item->type === TokenType::Percentage
                || ($item->type === TokenType::Function && $item->text !== 'oblique')
            || ($item->type === TokenType::Number && $item->number() === 0.0);
    }

    /** @param  list<Item>  $items */
    private static function sizeAt(array $items): int
    {
        foreach ($items as $at => $item) {
            if (self::isSize($item)) {
                return $at;
            }
        }

        return count($items);
    }

    /**
     * @param  list<Item>  $items
     * @return list<Item>|null
     */
    private static function familyOf(array $items): ?array
    {
        $at = self::sizeAt($items) + 1;
        if (($items[$at]->text ?? '') === '/') {
            $at += 2;
        }

        return $at < count($items) ? array_slice($items, $at) : null;
    }
}
