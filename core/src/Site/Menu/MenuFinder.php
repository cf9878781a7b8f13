<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\OutlineEntry;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Source\FileKind;

/**
 * Finds the menu of a page without being told: a `nav` or what serves as one, or else the list or run of links that leads to most
 * of the site's pages, two at least. Common practice.
 */
final readonly class MenuFinder
{
    private const SEPARATORS = " \t\n\f\r|/\\·•–—-»›>«‹<:,\u{A0}";

    private const LONGEST_LABEL = 40;

    /** Lists in lists, as far down as a menu may lie. */
    private const DEEPEST = 8;

    public static function in(Page $page): ?Menu
    {
        $links = [];
        foreach ($page->references as $reference) {
            if ($reference->kind === ReferenceKind::Link && $reference->element !== null) {
                $links[spl_object_id($reference->element)] = $reference;
            }
        }
        $navs = array_map(fn (OutlineEntry $entry) => $entry->element, $page->outline->ofPart(PartKind::Nav));
        $element = self::best($navs, $links, 1) ?? self::best(self::listsAndRuns($page, $links), $links, 2);

        return $element === null ? null : new Menu($page->path(), $element, self::entries($element, $links, $page->path()), self::place($element, $page));
    }

    /**
     * @param  list<Element>  $elements
     * @param  array<int, Reference>  $links
     */
    private static function best(array $elements, array $links, int $atLeast): ?Element
    {
        $best = null;
        foreach (self::notTooDeep($elements) as $element) {
            $pages = [];
            foreach (Walk::elements($element) as $inside) {
                $path = self::pageOf($links[spl_object_id($inside)] ?? null);
                if ($path !== null) {
                    $pages[$path] = true;
                }
            }
            if (count($pages) >= $atLeast) {
                $best = $element;
                $atLeast = count($pages) + 1;
            }
        }

        return $best;
    }

    /**
     * Those that stand in few of the others, so that nothing is gone through again and again.
     *
     * @param  list<Element>  $elements  in document order
     * @return list<Element>
     */
    private static function notTooDeep(array $elements): array
    {
        $kept = $ends = [];
        foreach ($elements as $element) {
            $start = $element->place()->start;
            while ($ends !== [] && end($ends) <= $start) {
                array_pop($ends);
            }
            $ends[] = $element->closedAt ?? PHP_INT_MAX;
            if (count($ends) <= self::DEEPEST) {
                $kept[] = $element;
            }
        }

        return $kept;
    }

    /** The page of the site that a link leads to, or would but for a slip; null for any other. */
    private static function pageOf(?Reference $link): ?string
    {
        $path = $link?->target->meant() ?? $link?->target->path;

        return $path !== null && FileKind::ofExtension(pathinfo($path, PATHINFO_EXTENSION)) === FileKind::Page ? $path : null;
    }

    /**
     * Lists whose items are mostly links, and elements that hold links side by side with nothing but separators between them.
     *
     * @param  array<int, Reference>  $links
     * @return list<Element>
     */
    private static function listsAndRuns(Page $page, array $links): array
    {
        $found = [];
        foreach ($page->elements as $element) {
            if (in_array($element->name, ['ul', 'ol', 'menu'], true)) {
                $items = $element->elements();
                $linked = array_filter($items, fn (Element $item) => self::isLinkAlone($item, $links));
                if (count($linked) >= 2 && 3 * count($linked) >= 2 * count($items)) {
                    $found[] = $element;
                }
            } elseif ($element->name !== 'a' && self::isRun($element, $links)) {
                $found[] = $element;
            }
        }

        return $found;
    }

    /** @param  array<int, Reference>  $links */
    private static function isLinkAlone(Element $item, array $links): bool
    {
        $children = array_values(array_filter($item->children, fn ($child) => ! ($child instanceof Text && $child->isBlank())));

        return count($children) === 1 && $children[0] instanceof Element && isset($links[spl_object_id($children[0])]);
    }

    /** @param  array<int, Reference>  $links */
    private static function isRun(Element $element, array $links): bool
    {
        $count = 0;
        foreach ($element->children as $child) {
            if ($child instanceof Text && trim($child->text, self::SEPARATORS) !== '') {
                return false;
            }
            $count += $child instanceof Element && isset($links[spl_object_id($child)]) ? 1 : 0;
        }

        return $count >= 2;
    }

    /**
     * @param  array<int, Reference>  $links
     * @return list<MenuEntry>
     */
    private static function entries(Element $menu, array $links, string $page): array
    {
        $entries = [];
        $waiting = [$menu];
        while ($waiting !== []) {
            $node = array_pop($waiting);
            $reference = $links[spl_object_id($node)] ?? null;
            if ($reference !== null && $node instanceof Element) {
                $entries[] = new MenuEntry(Label::of($node), self::key($reference), $node, $reference);

                continue;
            }
            if ($node instanceof Text) {
                $words = preg_replace('/\s+/u', ' ', trim($node->text, self::SEPARATORS)) ?? '';
                if ($words !== '' && mb_strlen($words) <= self::LONGEST_LABEL && $node->parent !== null && ! self::isHeading($node->parent)) {
                    $entries[] = new MenuEntry($words, $page, $node->parent, null);
                }

                continue;
            }
            if ($node instanceof Element && $node !== $menu && $node->is('nav')) {
                continue;
            }
            if ($node instanceof Element) {
                array_push($waiting, ...array_reverse($node->children));
            }
        }

        return $entries;
    }

    private static function isHeading(Element $element): bool
    {
        for ($above = $element; $above !== null && ! in_array($above->name, ['nav', 'ul', 'ol', 'div', 'body'], true); $above = $above->parent) {
            if (preg_match('/^h[1-6]$/', $above->name) === 1) {
                return true;
            }
        }

        return false;
    }

    private static function key(Reference $reference): string
    {
        $target = $reference->target;
        // A link to a part of a page is another entry than the link to the page.
        $fragment = $target->found !== null && $target->fragment !== null ? '#'.$target->fragment : '';

        return ($target->meant() ?? $target->candidates[0] ?? $target->path ?? $target->address ?? $reference->written).$fragment;
    }

    private static function place(Element $menu, Page $page): string
    {
        $before = null;
        foreach ($page->outline->parts() as $entry) {
            if ($entry->element === $menu || ($menu->startTag()->start ?? 0) <= ($entry->element->startTag()->start ?? 0)) {
                break;
            }
            $end = $entry->element->endTag()->start ?? PHP_INT_MAX;
            if ($end >= ($menu->startTag()->start ?? 0) && $entry->part !== PartKind::Nav) {
                return "in the {$entry->part?->value}";
            }
            $before = $entry->part === PartKind::Nav ? $before : $entry->part;
        }

        return $before === null ? 'before every other part' : "after the {$before->value}";
    }
}
