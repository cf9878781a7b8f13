<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Item;

/** Lengths in pixels, on a screen of 1280 by 800 (CSS Values and Units Level 4, sections 6 and 10). */
final class Lengths
{
    private const PIXELS = [
        'px' => 1.0, 'pt' => 4 / 3, 'pc' => 16.0, 'in' => 96.0, 'cm' => 96 / 2.54, 'mm' => 9.6 / 2.54,
        'q' => 2.4 / 2.54,
        'vw' => 12.8, 'vi' => 12.8, 'svw' => 12.8, 'lvw' => 12.8, 'dvw' => 12.8, 'vh' => 8.0, 'vb' => 8.0, 'svh' => 8.0,
        'lvh' => 8.0, 'dvh' => 8.0, 'vmin' => 8.0, 'vmax' => 12.8,
    ];

    /**
     * @param  float  $em  px, as is the root's
     * @param  float  $whole  px: what a percentage is of
     * @return float|null null where it is none, or depends on a font's letters
     */
    public static function inPixels(Item $item, float $em, float $rem, float $whole): ?float
    {
        return match ($item->type) {
            TokenType::Number => $item->number(),
            TokenType::Percentage => $item->number() / 100 * $whole,
            TokenType::Dimension => match ($item->unit()) {
                'em' => $item->number() * $em,
                'rem' => $item->number() * $rem,
                'ex', 'ch' => $item->number() * $em / 2,
                default => isset(self::PIXELS[$item->unit()]) ? $item->number() * self::PIXELS[$item->unit()] : null,
            },
            TokenType::Function => self::math($item, fn (Item $one) => self::inPixels($one, $em, $rem, $whole)),
            default => null,
        };
    }

    /** @param  \Closure(Item): ?float  $read */
    private static function math(Item $item, \Closure $read): ?float
    {
        $values = [];
        foreach (Item::betweenCommas($item->inside) as $argument) {
            $value = self::sum($argument, $read);
            if ($value === null) {
                return null;
            }
            $values[] = $value;
        }

        return match ($item->text) {
            'calc' => $values[0],
            'min' => min($values),
            'max' => max($values),
            'clamp' => count($values) === 3 ? max($values[0], min($values[1], $values[2])) : null,
            default => null,
        };
    }

    /**
     * @param  list<Item>  $items
     * @param  \Closure(Item): ?float  $read
     */
    private static function sum(array $items, \Closure $read): ?float
    {
        $sum = $product = null;
        $sign = 1;
        $operator = '';
        foreach ($items as $item) {
            if ($item->type === TokenType::Delim) {
                if ($item->text === '+' || $item->text === '-') {
                    $sum = ($sum ?? 0) + $sign * ($product ?? 0);
                    $sign = $item->text === '+' ? 1 : -1;
                    $product = null;
                }
                $operator = $item->text;

                continue;
            }
            $value = $item->type === TokenType::OpenParen ? self::sum($item->inside, $read) : $read($item);
            if ($value === null || ($operator === '/' && $value === 0.0)) {
                return null;
            }
            $product = match (true) {
                $product === null => $value,
                $operator === '*' => $product * $value,
                $operator === '/' => $product / $value,
                default => null,
            };
        }

        return $product === null ? null : ($sum ?? 0) + $sign * $product;
    }
}
