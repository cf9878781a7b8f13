<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Colour;

use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Item;

/** Reads the colours of CSS (CSS Color Level 4). What depends on other colours than its own is not read. */
final class ColourReader
{
    /** Section 6.2, in the light scheme that browsers begin with. */
    private const SYSTEM = [
        'canvas' => 0xFFFFFF, 'canvastext' => 0x000000, 'linktext' => 0x0000EE, 'visitedtext' => 0x551A8B,
        'activetext' => 0xFF0000, 'field' => 0xFFFFFF, 'fieldtext' => 0x000000, 'buttontext' => 0x000000,
        'buttonface' => 0xEFEFEF, 'buttonborder' => 0x000000, 'mark' => 0xFFFF00, 'marktext' => 0x000000,
        'graytext' => 0x808080, 'highlight' => 0x3367D1, 'highlighttext' => 0xFFFFFF,
    ];

    /** What the parts of a function are: `%` of what, and whether the first or last is a hue. */
    private const FUNCTIONS = [
        'rgb' => [255.0, 255.0, 255.0], 'rgba' => [255.0, 255.0, 255.0],
        'hsl' => [null, 1.0, 1.0], 'hsla' => [null, 1.0, 1.0], 'hwb' => [null, 1.0, 1.0],
        'lab' => [100.0, 125.0, 125.0], 'lch' => [100.0, 150.0, null],
        'oklab' => [1.0, 0.4, 0.4], 'oklch' => [1.0, 0.4, null],
    ];

    /** @return Colour|null null where it is none, or one that depends on others, such as `currentcolor` */
    public static function read(Item $item): ?Colour
    {
        return match ($item->type) {
            TokenType::Hash => self::hex($item->text),
            TokenType::Ident => self::named($item->text),
            TokenType::Function => self::function($item),
            default => null,
        };
    }

    private static function named(string $name): ?Colour
    {
        /** @var array<string, int>|null $names */
        static $names = null;
        $names ??= require __DIR__.'/../../../data/css-colours.php';
        if ($name === 'transparent') {
            return new Colour(0, 0, 0, 0);
        }
        $number = $names[$name] ?? self::SYSTEM[$name] ?? null;

        return $number === null ? null : Colour::ofNumber($number);
    }

    private static function hex(string $digits): ?Colour
    {
        if (preg_match('/^(?:[0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/i', $digits) !== 1) {
            return null;
        }
        if (strlen($digits) < 5) {
            $digits = (string) preg_replace('/./', '$0$0', $digits);
        }
        $colour = Colour::ofNumber((int) hexdec(substr($digits, 0, 6)));

        return strlen($digits) === 6
            ? $colour
            : new Colour($colour->red, $colour->green, $colour->blue, hexdec(substr($digits, 6)) / 255);
    }

    private static function function(Item $item): ?Colour
    {
        $parts = array_values(array_filter(
            $item->inside,
            fn (Item $one) => $one->type !== TokenType::Comma && $one->text !== '/',
        ));
        if ($item->text === 'color') {
            return self::inSpace($parts);
        }
        $whole = self::FUNCTIONS[$item->text] ?? null;
        if ($whole === null || count($parts) < 3 || count($parts) > 4) {
            return null;
        }
        $numbers = [];
        foreach ($whole as $nth => $of) {
            $number = $of === null ? self::degrees($parts[$nth]) : self::number($parts[$nth], $of);
            if ($number === null) {
                return null;
            }
            // Of hsl and hwb, numbers without a sign are percentages too.
            $isPercent = in_array($item->text, ['hsl', 'hsla', 'hwb'], true) && $of !== null
                && $parts[$nth]->type === TokenType::Number;
            $numbers[] = $isPercent ? $number / 100 : $number;
        }
        $alpha = isset($parts[3]) ? self::number($parts[3], 1.0) : 1.0;

        return $alpha === null
            ? null
            : self::of($item->text, $numbers[0], $numbers[1], $numbers[2], max(0, min(1, $alpha)));
    }

    private static function of(string $function, float $one, float $two, float $three, float $alpha): Colour
    {
        $within = fn (float $part) => max(0.0, min(1.0, $part));

        return match ($function) {
            'hsl', 'hsla' => ColourSpace::hsl($one, max(0, $two), $three, $alpha),
            'hwb' => ColourSpace::hwb($one, $within($two), $within($three), $alpha),
            'lab' => ColourSpace::lab(max(0, min(100, $one)), $two, $three, $alpha),
            'lch' => ColourSpace::lch(max(0, min(100, $one)), max(0, $two), $three, $alpha),
            'oklab' => ColourSpace::oklab($within($one), $two, $three, $alpha),
            'oklch' => ColourSpace::oklch($within($one), max(0, $two), $three, $alpha),
            default => new Colour($within($one / 255), $within($two / 255), $within($three / 255), $alpha),
        };
    }

    /** @param  list<Item>  $parts */
    private static function inSpace(array $parts): ?Colour
    {
        if (count($parts) < 4 || count($parts) > 5) {
            return null;
        }
        $numbers = array_map(fn (Item $part) => self::number($part, 1.0), array_slice($parts, 1));
        if (in_array(null, $numbers, true)) {
            return null;
        }
        [$one, $two, $three] = $numbers;

        return ColourSpace::named($parts[0]->text, [$one, $two, $three], max(0, min(1, $numbers[3] ?? 1.0)));
    }

    private static function number(Item $item, float $whole): ?float
    {
        return match (true) {
            $item->type === TokenType::Number => $item->number(),
            $item->type === TokenType::Percentage => $item->number() / 100 * $whole,
            $item->type === TokenType::Ident && $item->text === 'none' => 0.0,
            default => null,
        };
    }

    private static function degrees(Item $item): ?float
    {
        if ($item->type !== TokenType::Dimension) {
            return $item->type === TokenType::Percentage ? null : self::number($item, 1.0);
        }

        return match ($item->unit()) {
            'deg' => $item->number(),
            'grad' => $item->number() * 0.9,
            'rad' => rad2deg($item->number()),
            'turn' => $item->number() * 360,
            default => null,
        };
    }
}
