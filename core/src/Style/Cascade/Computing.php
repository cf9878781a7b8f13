<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Style\Colour\Colour;
use InkedMargin\Core\Style\Colour\ColourReader;
use InkedMargin\Core\Style\Syntax\CssTokenizer;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Definitions;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\Matcher;

/**
 * Works out what every element of a page looks like, from the root down (CSS Cascade 5, section 4.4, "computed
 * values").
 */
final class Computing
{
    /** CSS Fonts 4, 2.5.1: what the keywords are at a medium size of 16 px. */
    private const SIZES = [
        'xx-small' => 9.0, 'x-small' => 10.0, 'small' => 13.0, 'medium' => 16.0, 'large' => 18.0, 'x-large' => 24.0,
        'xx-large' => 32.0, 'xxx-large' => 48.0,
    ];

    /** Of fonts in which all letters are as wide, browsers begin with a smaller size (common practice). */
    private const MONOSPACE = 13 / 16;

    /** CSS Display 3, section 2.7: what a box becomes that is laid out by a flexible or a grid box, or floats. */
    private const AS_BLOCK = [
        'inline' => 'block', 'inline-block' => 'block', 'inline-flex' => 'flex', 'inline-grid' => 'grid',
        'inline-table' => 'table', 'ruby' => 'block', 'ruby-text' => 'block', 'table-cell' => 'block',
        'table-row' => 'block', 'table-row-group' => 'block',
        'table-header-group' => 'block', 'table-footer-group' => 'block', 'table-caption' => 'block',
        'table-column' => 'block', 'table-column-group' => 'block',
    ];

    /** @var array<int, ComputedStyle> by object id */
    private array $styles = [];

    /** @var array<int, bool> whether a size stems from a keyword, by object id */
    private array $isKeyword = [];

    private float $rootSize = 16;

    private function __construct(private readonly Cascade $cascade)
    {
    }

    /**
     * @param  iterable<Element>  $elements  in the order of the page, each after all that is around it
     * @return array<int, ComputedStyle> by the object id of the element
     */
    public static function of(iterable $elements, Cascade $cascade): array
    {
        $computing = new self($cascade);
        foreach ($elements as $element) {
            $id = spl_object_id($element);
            $parent = $element->parent === null
                ? 0
                : spl_object_id($computing->styles[spl_object_id($element->parent)]);
            // Under parents that look the same, what is told the same looks the same: on all pages with these rules.
            $alike = "$parent ".$cascade->keyOf($element);
            $known = $cascade->decisions->look($alike);
            if ($known === null) {
                $computing->styles[$id] = $computing->style($element);
                $cascade->decisions->keepLook($alike, $computing->styles[$id], $computing->isKeyword[$id]);
            } else {
                [$computing->styles[$id], $computing->isKeyword[$id]] = $known;
            }
            if ($element->parent === null) {
                $computing->rootSize = $computing->styles[$id]->fontSize;
            }
        }

        return $computing->styles;
    }

    private function style(Element $element): ComputedStyle
    {
        $parent = $element->parent === null ? null : $this->styles[spl_object_id($element->parent)] ?? null;
        $around = $parent ?? ComputedStyle::initial();
        $custom = $this->custom($element, $around);
        $get = fn (string $property) => $this->value($element, $property, $custom);
        $family = $this->family($get('font-family'), $around);
        $size = $this->size($element, $get('font-size'), $family, $around);
        $color = $this->color($get('color'), $around->color, $around->color);
        $background = $get('background-color');
        $isFloating = self::word($get('float'), 'none') !== 'none'
            || in_array(self::word($get('position'), 'static'), ['absolute', 'fixed'], true);
        $display = $this->display(self::words($get('display'), 'inline'), $parent, $isFloating);

        return new ComputedStyle(
            $color,
            $this->color($background, $around->background, $color),
            $this->hasImage($get('background-image'), $around->hasImage),
            $size,
            $this->weight($get('font-weight'), $around->fontWeight),
            $family,
            $this->keyword($get('text-decoration-line'), $around->textDecoration, 'none', false),
            $this->alignment($get('text-align'), $around->textAlign),
            $display,
            $this->keyword($get('width'), $around->width, 'auto', false),
            $this->keyword($get('list-style-type'), $around->listStyle, 'disc', true),
            $this->keyword($get('visibility'), $around->visibility, 'visible', true),
            $this->isPlaced($get),
            $custom,
        );
    }

    /** @return array<string, string> */
    private function custom(Element $element, ComputedStyle $around): array
    {
        $own = $this->cascade->customOf($element);
        if ($own === []) {
            return $around->custom;
        }
        $values = $around->custom;
        foreach ($own as $name => $all) {
            $value = $all[0]->declaration?->value() ?? '';
            if ($value === 'initial') {
                unset($values[$name]);
            } elseif (! in_array($value, ['inherit', 'unset'], true)) {
                $values[$name] = $value;
            }
        }
        // What a variable is made of is that of the element it is declared for.
        foreach (array_keys($own) as $name) {
            if (isset($values[$name]) && stripos($values[$name], 'var(') !== false) {
                $value = Variables::replace($values[$name], $values);
                if ($value === null) {
                    unset($values[$name]);
                } else {
                    $values[$name] = $value;
                }
            }
        }

        return $values;
    }

    /**
     * The components of the value that wins; null where nobody says anything, or what is said comes to nothing; and
     * `initial` where a shorthand sets it back.
     *
     * @param  array<string, string>  $custom
     * @return list<Item>|string|null
     */
    private function value(Element $element, string $property, array $custom): array|string|null
    {
        $all = $this->cascade->of($element, $property);
        $winner = $all[0] ?? null;
        $winner = self::withoutRevert($all);
        if ($winner === null) {
            return null;
        }
        if ($winner->items === null) {
            return 'initial';
        }
        foreach ($winner->items as $item) {
            if (Variables::areIn($item) && $winner->declaration !== null) {
                return $this->replaced($winner, $property, $custom);
            }
        }

        return $winner->items;
    }

    /**
     * @param  list<Applied>  $all from the strongest
     * @return ?Applied what wins; with `revert`, what the browser says (CSS Cascade 5, 7.3.4)
     */
    private static function withoutRevert(array $all): ?Applied
    {
        $winner = $all[0] ?? null;
        if (in_array($winner->items[0]->text ?? '', ['revert', 'revert-layer'], true)) {
            $browsers = array_filter($all, fn (Applied $one) => $one->rule?->origin === Origin::Browser);
            $winner = array_values($browsers)[0] ?? null;
        }

        return $winner;
    }

    /**
     * @param  array<string, string>  $custom
     * @return list<Item>|string|null
     */
    private function replaced(Applied $winner, string $property, array $custom): array|string|null
    {
        $declaration = $winner->declaration;
        $value = $declaration === null ? null : Variables::replace($declaration->value(), $custom);
        if ($declaration === null || $value === null) {
            return null;
        }
        $tokens = CssTokenizer::tokenize($value);
        $items = Item::list($tokens, 0, $tokens->count);
        $node = Definitions::ofProperty($declaration->name);
        $isWide = count($items) === 1 && in_array($items[0]->text, ['inherit', 'initial', 'unset'], true);
        if ($node !== null && ! $isWide && ! Matcher::matches($node, $items)) {
            return null;
        }

        return Longhands::value($declaration->name, $property, $items) ?? 'initial';
    }

    /** @param  list<Item>|string|null  $value */
    private static function word(array|string|null $value, string $initial): string
    {
        return is_array($value) && $value !== [] ? $value[0]->text : $initial;
    }

    /** @param  list<Item>|string|null  $value */
    private static function words(array|string|null $value, string $initial): string
    {
        return is_array($value) && $value !== []
            ? implode(' ', array_map(fn (Item $item) => $item->text, $value))
            : $initial;
    }

    /** @param  list<Item>|string|null  $value */
    private function keyword(array|string|null $value, string $around, string $initial, bool $isInherited): string
    {
        $word = self::words($value, $value === null ? 'unset' : 'initial');

        return match ($word) {
            'inherit' => $around,
            'initial' => $initial,
            'unset', 'revert', 'revert-layer' => $isInherited ? $around : $initial,
            default => $word,
        };
    }

    /** @param  list<Item>|string|null  $value */
    private function alignment(array|string|null $value, string $around): string
    {
        $word = $this->keyword($value, $around, 'start', true);

        // Of a list's items: as the list is, where that is not written the other way round.
        return $word === 'match-parent' ? $around : $word;
    }

    /** @param  list<Item>|string|null  $value */
    private function color(array|string|null $value, ?Colour $around, ?Colour $current): ?Colour
    {
        $isText = $around === $current;
        if ($value === null || $value === 'initial' || $value === []) {
            return $value === null && $isText ? $around : ($isText ? new Colour(0, 0, 0) : new Colour(0, 0, 0, 0));
        }
        if (! is_array($value)) {
            return null;
        }

        return match ($value[0]->text) {
            'inherit' => $around,
            'initial' => $isText ? new Colour(0, 0, 0) : new Colour(0, 0, 0, 0),
            'unset' => $isText ? $around : new Colour(0, 0, 0, 0),
            'currentcolor' => $current,
            default => ColourReader::read($value[0]),
        };
    }

    /**
     * Whether it may lie over anything, or is mixed with what is behind it.
     *
     * @param  \Closure(string): (list<Item>|string|null)  $get
     */
    private function isPlaced(\Closure $get): bool
    {
        if (in_array(self::word($get('position'), 'static'), ['absolute', 'fixed', 'sticky'], true)) {
            return true;
        }
        foreach (['margin-top', 'margin-bottom', 'margin-left', 'margin-right'] as $margin) {
            if (str_starts_with(self::raw($get($margin)), '-')) {
                return true;
            }
        }

        return ! in_array(self::word($get('mix-blend-mode'), 'normal'), ['normal', 'initial', 'unset'], true);
    }

    /** @param  list<Item>|string|null  $value */
    private static function raw(array|string|null $value): string
    {
        return is_array($value) && $value !== [] ? $value[0]->tokens->raw($value[0]->token) : '';
    }

    /** @param  list<Item>|string|null  $value */
    private function hasImage(array|string|null $value, bool $around): bool
    {
        $word = self::word($value, 'none');

        return $word === 'inherit' ? $around : ! in_array($word, ['none', 'initial', 'unset'], true);
    }

    /** @param  list<Item>|string|null  $value */
    private function family(array|string|null $value, ComputedStyle $around): string
    {
        $names = self::words($value, $value === null ? 'inherit' : 'serif');

        return match ($names) {
            'inherit', 'unset' => $around->fontFamily,
            'initial' => 'serif',
            default => $names,
        };
    }

    /** @param  list<Item>|string|null  $value */
    private function size(Element $element, array|string|null $value, string $family, ComputedStyle $around): float
    {
        $id = spl_object_id($element);
        $wasKeyword = $element->parent === null || ($this->isKeyword[spl_object_id($element->parent)] ?? false);
        $isMono = $family === 'monospace';
        $item = is_array($value) ? $value[0] ?? null : null;
        if ($item !== null && isset(self::SIZES[$item->text])) {
            $this->isKeyword[$id] = true;

            return self::SIZES[$item->text] * ($isMono ? self::MONOSPACE : 1);
        }
        if ($value === 'initial' || $item?->text === 'initial') {
            $this->isKeyword[$id] = true;

            return 16 * ($isMono ? self::MONOSPACE : 1);
        }
        $inherits = $item === null || in_array($item->text, ['inherit', 'unset'], true);
        $this->isKeyword[$id] = $inherits && $wasKeyword;
        $base = $around->fontSize;
        if ($inherits) {
            return match (true) {
                $isMono && ! $around->isMonospace() => $base * self::MONOSPACE,
                ! $isMono && $around->isMonospace() => $base / self::MONOSPACE,
                default => $base,
            };
        }

        return match (true) {
            $item->text === 'larger' => $base * 1.2,
            $item->text === 'smaller' => $base / 1.2,
            default => Lengths::inPixels($item, $base, $this->rootSize, $base) ?? $base,
        };
    }

    /** @param  list<Item>|string|null  $value */
    private function weight(array|string|null $value, int $around): int
    {
        $item = is_array($value) ? $value[0] ?? null : null;
        if ($item === null) {
            return $value === 'initial' ? 400 : $around;
        }

        // CSS Fonts 4, 2.4.2
        return match ($item->text) {
            'bold' => 700,
            'normal', 'initial' => 400,
            'bolder' => match (true) {
                $around < 350 => 400, $around < 550 => 700, $around < 900 => 900, default => $around,
            },
            'lighter' => match (true) {
                $around < 100 => $around, $around < 550 => 100, $around < 750 => 400, default => 700,
            },
            default => $item->type === TokenType::Number ? (int) $item->number() : $around,
        };
    }

    private function display(string $display, ?ComputedStyle $parent, bool $isFloating): string
    {
        $display = match ($display) {
            'inherit' => $parent->display ?? 'block',
            'initial', 'unset' => 'inline',
            'block flow', 'flow' => 'block',
            'inline flow' => 'inline',
            'inline flow-root' => 'inline-block',
            'block flex' => 'flex',
            'block grid' => 'grid',
            default => $display,
        };
        $isItem = $parent !== null && in_array($parent->display, ['flex', 'inline-flex', 'grid', 'inline-grid'], true);

        return $parent === null || $isItem || $isFloating ? self::AS_BLOCK[$display] ?? $display : $display;
    }
}
