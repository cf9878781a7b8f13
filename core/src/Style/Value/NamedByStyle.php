<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\TokenType;

/** The names of animations and of grid areas that declarations use. */
final class NamedByStyle
{
    /** Words of `animation` that are no names (CSS Animations 1 and 2). */
    private const OF_ANIMATION = [
        'none', 'infinite', 'normal', 'reverse', 'alternate', 'alternate-reverse', 'forwards', 'backwards', 'both',
        'running', 'paused', 'ease', 'linear', 'ease-in', 'ease-out', 'ease-in-out', 'step-start', 'step-end', 'auto',
        'replace', 'add', 'accumulate', 'initial', 'inherit', 'unset', 'revert', 'revert-layer',
    ];

    /** @return list<Item> */
    public static function animations(Declaration $declaration): array
    {
        if (! in_array($declaration->name, ['animation', 'animation-name'], true)) {
            return [];
        }
        $isName = fn (Item $item) => $item->type === TokenType::String
            || ($item->type === TokenType::Ident && ! in_array($item->text, self::OF_ANIMATION, true));

        return self::isSure($declaration) ? array_values(array_filter(self::items($declaration), $isName)) : [];
    }

    /** @return Item|null the area of `grid-area` where it names one alone */
    public static function area(Declaration $declaration): ?Item
    {
        $items = $declaration->name === 'grid-area' && self::isSure($declaration) ? self::items($declaration) : [];
        $one = count($items) === 1 ? $items[0] : null;
        $words = ['auto', 'span', 'initial', 'inherit', 'unset', 'revert', 'revert-layer'];

        return $one?->type === TokenType::Ident && ! in_array($one->text, $words, true) ? $one : null;
    }

    /** @return list<string> the areas that a template names */
    public static function areasOf(Declaration $declaration): array
    {
        if (! in_array($declaration->name, ['grid-template-areas', 'grid-template', 'grid'], true)) {
            return [];
        }
        $names = [];
        foreach (self::items($declaration) as $item) {
            if ($item->type === TokenType::String) {
                array_push($names, ...(preg_split('/[\s.]+/', $item->text, -1, PREG_SPLIT_NO_EMPTY) ?: []));
            }
        }

        return $names;
    }

    /** A value that is worked out late, or that no browser takes, names nothing for sure. */
    private static function isSure(Declaration $declaration): bool
    {
        return ValueCheck::of($declaration)->verdict === Verdict::Valid
            && stripos($declaration->value(), 'var(') === false;
    }

    /** @return list<Item> */
    private static function items(Declaration $declaration): array
    {
        return Item::list($declaration->tokens, $declaration->from, $declaration->to);
    }
}
