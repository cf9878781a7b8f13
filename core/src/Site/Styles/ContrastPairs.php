<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Style\Cascade\Applied;
use InkedMargin\Core\Style\Cascade\Cascade;
use InkedMargin\Core\Style\Cascade\ComputedStyle;
use InkedMargin\Core\Style\Cascade\Origin;
use InkedMargin\Core\Style\Colour\Colour;
use InkedMargin\Core\Style\Selector\PseudoClass;
use InkedMargin\Core\Style\Syntax\Declaration;

/**
 * The colours of text on a site with those behind them. Where a picture or a gradient is behind, or something that is
 * laid over the page, nobody can tell from the stylesheets, and nothing is said.
 */
final class ContrastPairs implements SiteFact
{
    private const HIDDEN = [
        'script', 'style', 'title', 'template', 'noscript', 'head', 'option', 'select', 'textarea', 'svg', 'iframe',
        'video', 'audio', 'canvas', 'object',
    ];

    /**
     * @param  list<ContrastPair>  $pairs
     * @param  array<string, list<array{Page, Element}>>  $unjudged  texts of which nothing is said, by the value of the
     *     reason
     */
    private function __construct(public readonly array $pairs, public readonly array $unjudged)
    {
    }

    public static function of(ParsedSite $site): static
    {
        $styles = $site->fact(SiteStyles::class);
        $found = $unjudged = [];
        foreach ($site->pages as $page) {
            if ($styles->rulesOf($page) === [] && $page->styles === []) {
                continue;
            }
            $computed = $styles->computedOf($page);
            self::add($found, $unjudged, $page, $page->document->elements(), $computed, $styles->cascadeOf($page));
            foreach ($styles->linkStatesOf($page) as $state) {
                $turned = $styles->linksIn($page, $state);
                $looks = $turned->computed;
                $texts = array_filter($turned->elements, fn (Element $element) => self::isInLink($element)
                    && $looks[spl_object_id($element)] != $computed[spl_object_id($element)]);
                $none = [];
                self::add($found, $none, $page, $texts, $looks, $turned->cascade, $state, $computed);
            }
        }

        return new self(array_map(fn (array $one) => new ContrastPair(...$one), array_values($found)), $unjudged);
    }

    private static function isInLink(Element $element): bool
    {
        for ($around = $element; $around instanceof Element; $around = $around->parent) {
            if (PseudoClass::isLink($around)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<string, array{Colour, Colour, float, Declaration, bool, list<array{Page, Element}>,
     *     LinkState|null}>  $found
     * @param  array<string, list<array{Page, Element}>>  $unjudged
     * @param  iterable<Element>  $elements
     * @param  array<int, ComputedStyle>  $computed
     * @param  array<int, ComputedStyle>  $before  what they look like in no state
     */
    private static function add(
        array &$found,
        array &$unjudged,
        Page $page,
        iterable $elements,
        array $computed,
        Cascade $cascade,
        ?LinkState $state = null,
        array $before = [],
    ): void {
        $known = [];
        foreach ($elements as $element) {
            $id = spl_object_id($element);
            $style = $computed[$id];
            if (! self::isSeen($element, $style)) {
                continue;
            }
            $isTurned = ($before[$id] ?? null)?->color != $style->color;
            // Elements share a style where all that is around them does.
            $alike = spl_object_id($style).($isTurned ? ' turned' : '');
            $known[$alike] ??= [self::pair($element, $computed, $cascade, $isTurned)];
            [$pair] = $known[$alike];
            if ($pair instanceof Unjudged) {
                $unjudged[$pair->value][] = [$page, $element];
            } elseif ($pair !== null) {
                $key = $pair->key();
                $cause = $pair->cause;
                $found[$key] ??= [
                    $pair->text, $pair->behind, $pair->needed, $cause->declaration, $cause->isOfText, [], $state,
                ];
                // Of text in several sizes the smallest has to be readable.
                $found[$key][2] = max($found[$key][2], $pair->needed);
                $found[$key][5][] = [$page, $element];
            }
        }
    }

    /**
     * @param  array<int, ComputedStyle>  $computed
     * @param  bool  $isTurned  whether the text's colour is not that of another state
     * @return TextColours|Unjudged|null null where only the browser has a say
     */
    private static function pair(
        Element $element,
        array $computed,
        Cascade $cascade,
        bool $isTurned,
    ): TextColours|Unjudged|null {
        $style = $computed[spl_object_id($element)];
        $behind = self::behind($element, $computed);
        if (! $behind instanceof Backdrop) {
            return $behind;
        }
        if ($style->color === null || $style->color->alpha <= 0.0) {
            return $style->color === null ? Unjudged::Colour : null;
        }
        $cause = self::cause($element, $behind->coloured, $cascade, $isTurned);

        return $cause === null ? null : new TextColours(
            $style->color->over($behind->colour),
            $behind->colour,
            $style->isLarge() ? 3.0 : 4.5,
            $cause,
        );
    }

    /** Whether it has text of its own that is to be read. */
    private static function isSeen(Element $element, ComputedStyle $style): bool
    {
        if (in_array($element->name, self::HIDDEN, true) || $style->visibility !== 'visible'
            || $element->attribute('disabled') !== null) {
            return false;
        }
        foreach ($element->children as $child) {
            if ($child instanceof TextNode && preg_match('/[\p{L}\p{N}]/u', $child->text) === 1) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<int, ComputedStyle>  $computed
     * @return Backdrop|Unjudged|null null where it is not seen
     */
    private static function behind(Element $element, array $computed): Backdrop|Unjudged|null
    {
        $layers = [];
        $coloured = null;
        for ($around = $element; $around instanceof Element; $around = $around->parent) {
            $style = $computed[spl_object_id($around)] ?? null;
            if ($style === null || $style->display === 'none') {
                return null;
            }
            if ($style->hasImage || $style->background === null) {
                return $style->hasImage ? Unjudged::Picture : Unjudged::Colour;
            }
            if ($style->background->alpha > 0.0) {
                $layers[] = $style->background;
                $coloured ??= $around;
            }
            if ($style->background->isOpaque()) {
                break;
            }
            if ($style->isPlaced) {
                return Unjudged::Placed;
            }
        }
        $seen = new Colour(1, 1, 1);
        foreach (array_reverse($layers) as $layer) {
            $seen = $layer->over($seen);
        }

        return new Backdrop($seen, $coloured);
    }

    /**
     * What of the two is to be changed: the one that is set further in, as the other serves more than this text; of a
     * state the one that it turns.
     *
     * @return ?ColourCause null where the browser set both
     */
    private static function cause(Element $element, ?Element $behind, Cascade $cascade, bool $isTurned): ?ColourCause
    {
        $background = $behind === null ? null : self::ofAuthor($cascade->of($behind, 'background-color')[0] ?? null);
        $isInside = $isTurned;
        for ($around = $element; $around instanceof Element; $around = $around->parent) {
            $winner = $cascade->of($around, 'color')[0] ?? null;
            if ($winner !== null && ! in_array($winner->items[0]->text ?? '', ['inherit', 'unset'], true)) {
                $own = self::ofAuthor($winner);
                $isOfText = $own !== null && ($isInside || $background === null);

                return $isOfText ? new ColourCause($own, true) : self::ofBackground($background);
            }
            $isInside = $isInside && $around !== $behind;
        }

        return self::ofBackground($background);
    }

    private static function ofBackground(?Declaration $background): ?ColourCause
    {
        return $background === null ? null : new ColourCause($background, false);
    }

    private static function ofAuthor(?Applied $applied): ?Declaration
    {
        return $applied === null
            || $applied->rank[0] === Origin::Browser->value
            || $applied->rank[0] === Origin::Hint->value
            ? null
            : $applied->declaration;
    }
}
