<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Style\Cascade\Applied;
use InkedMargin\Core\Style\Cascade\Cascade;
use InkedMargin\Core\Style\Cascade\ComputedStyle;
use InkedMargin\Core\Style\Cascade\Origin;
use InkedMargin\Core\Style\Colour\Colour;
use InkedMargin\Core\Style\Syntax\Declaration;

/**
 * The colours of text on a site with those behind them. Where a picture or a gradient is behind, or something that is
 * laid over the page, nobody can tell from the stylesheets, and nothing is said.
 */
final class ContrastPairs implements SiteFact
{
    private const HIDDEN = ['script', 'style', 'title', 'template', 'noscript', 'head', 'option', 'select', 'textarea', 'svg', 'iframe', 'video', 'audio', 'canvas', 'object'];

    /** @param  list<ContrastPair>  $pairs */
    private function __construct(public readonly array $pairs)
    {
    }

    public static function of(ParsedSite $site): static
    {
        $styles = $site->fact(SiteStyles::class);
        $found = [];
        foreach ($site->pages as $page) {
            if ($styles->rulesOf($page) === [] && $page->styles === []) {
                continue;
            }
            $computed = $styles->computedOf($page);
            $cascade = $styles->cascadeOf($page);
            foreach ($page->document->elements() as $element) {
                $pair = self::pair($element, $computed, $cascade);
                if ($pair !== null) {
                    [$key, $colour, $background, $needed, $cause, $isOfText] = $pair;
                    $found[$key] ??= [$colour, $background, $needed, $cause, $isOfText, []];
                    // Of text in several sizes the smallest has to be readable.
                    $found[$key][2] = max($found[$key][2], $needed);
                    $found[$key][5][] = [$page, $element];
                }
            }
        }

        return new self(array_map(fn (array $one) => new ContrastPair(...$one), array_values($found)));
    }

    /**
     * @param  array<int, ComputedStyle>  $computed
     * @return array{string, Colour, Colour, float, Declaration, bool}|null
     */
    private static function pair(Element $element, array $computed, Cascade $cascade): ?array
    {
        $style = $computed[spl_object_id($element)];
        if ($style->color === null || in_array($element->name, self::HIDDEN, true) || $style->visibility !== 'visible'
            || $element->attribute('disabled') !== null || ! self::hasText($element)) {
            return null;
        }
        [$background, $behind] = self::behind($element, $computed);
        if ($background === null || $style->color->alpha <= 0.0) {
            return null;
        }
        [$cause, $isOfText] = self::cause($element, $behind, $cascade);
        if ($cause === null) {
            return null;
        }
        $colour = $style->color->over($background);
        $needed = $style->isLarge() ? 3.0 : 4.5;

        return [
            "{$colour->hex()} {$background->hex()} ".spl_object_id($cause),
            $colour, $background, $needed, $cause, $isOfText,
        ];
    }

    private static function hasText(Element $element): bool
    {
        foreach ($element->children as $child) {
            if ($child instanceof Text && preg_match('/[\p{L}\p{N}]/u', $child->text) === 1) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<int, ComputedStyle>  $computed
     * @return array{Colour|null, Element|null} what is seen behind an element, null where it cannot be known; and the element that
     *     is coloured so
     */
    private static function behind(Element $element, array $computed): array
    {
        $layers = [];
        $coloured = null;
        for ($around = $element; $around instanceof Element; $around = $around->parent) {
            $style = $computed[spl_object_id($around)] ?? null;
            if ($style === null || $style->hasImage || $style->background === null || $style->display === 'none') {
                return [null, null];
            }
            if ($style->background->alpha > 0.0) {
                $layers[] = $style->background;
                $coloured ??= $around;
            }
            if ($style->background->isOpaque()) {
                break;
            }
            if ($style->isPlaced) {
                return [null, null];
            }
        }
        $seen = new Colour(1, 1, 1);
        foreach (array_reverse($layers) as $layer) {
            $seen = $layer->over($seen);
        }

        return [$seen, $coloured];
    }

    /** @return array{Declaration|null, bool} what set the text's colour, or the background; null where the browser set both */
    private static function cause(Element $element, ?Element $behind, Cascade $cascade): array
    {
        for ($around = $element; $around instanceof Element; $around = $around->parent) {
            $winner = $cascade->of($around, 'color')[0] ?? null;
            if ($winner !== null && ! in_array($winner->items[0]->text ?? '', ['inherit', 'unset'], true)) {
                $own = self::ofAuthor($winner);
                if ($own !== null) {
                    return [$own, true];
                }
                break;
            }
        }
        $applied = $behind === null ? null : $cascade->of($behind, 'background-color')[0] ?? null;

        return [self::ofAuthor($applied), false];
    }

    private static function ofAuthor(?Applied $applied): ?Declaration
    {
        return $applied === null || $applied->rank[0] === Origin::Browser->value || $applied->rank[0] === Origin::Hint->value
            ? null
            : $applied->declaration;
    }
}
