<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\OutlineEntry;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Source\TextMap;

/**
 * Finds what may be the menu of a page: every `nav` or what serves as one; where there is none, the lists and runs of
 * links before or after the running text. Common practice.
 */
final class MenuFinder
{
    private const SEPARATORS = " \t\n\f\r|/\\·•–—-»›>«‹<:,\u{A0}";

    private const LONGEST_LABEL = 40;

    /** Lists in lists, as far down as a menu may be. */
    private const DEEPEST = 8;

    private const MAX_CANDIDATES = 6;

    private const MAX_NODES = 400;

    /** Characters of text outside links that make a paragraph running text. */
    private const RUNNING = 60;

    /** @var array<int, Reference> the links of the page, by the object id of their element */
    private array $links = [];

    private function __construct(private readonly Page $page)
    {
        foreach ($page->references as $reference) {
            if ($reference->kind === ReferenceKind::Link && $reference->element !== null) {
                $this->links[spl_object_id($reference->element)] = $reference;
            }
        }
    }

    /** @return list<Menu> those that lead to most pages first */
    public static function in(Page $page): array
    {
        $finder = new self($page);

        return $finder->links === [] ? [] : $finder->candidates();
    }

    /** @return list<Menu> */
    private function candidates(): array
    {
        $navs = array_map(fn (OutlineEntry $entry) => $entry->element, $this->page->outline->landmarks(PartKind::Nav));
        $found = $this->leading($navs, 1);
        $isInNav = $found !== [];
        if (! $isInNav) {
            $found = $this->leading($this->listsAndRuns(), 2);
        }

        return array_map(
            fn (Element $element) => $this->menu($element, $isInNav),
            array_slice($found, 0, self::MAX_CANDIDATES),
        );
    }

    private function menu(Element $element, bool $isInNav): Menu
    {
        $entries = $this->entries($element);
        $linked = array_filter($entries, fn (MenuEntry $entry) => $entry->reference !== null);
        $plain = array_filter($entries, fn (MenuEntry $entry) => $entry->reference === null);
        $place = $this->place($element);

        return new Menu(
            $this->page->path(),
            $element,
            array_values($linked),
            $place,
            array_values($plain),
            $isInNav,
        );
    }

    /**
     * @param  list<Element>  $elements
     * @return list<Element> those that lead to as many pages as asked, those with most first
     */
    private function leading(array $elements, int $atLeast): array
    {
        $counts = [];
        $kept = self::notTooDeep($elements);
        foreach ($kept as $index => $element) {
            $pages = $this->pagesFrom($element);
            if (count($pages) >= $atLeast) {
                $counts[$index] = count($pages);
            }
        }
        arsort($counts);

        return array_map(fn (int $index) => $kept[$index], array_keys($counts));
    }

    /** @return TextMap<true> the pages to which links inside an element lead */
    private function pagesFrom(Element $element): TextMap
    {
        /** @var TextMap<true> $pages */
        $pages = new TextMap;
        foreach (Walk::elements($element) as $inside) {
            $path = self::pageOf($this->links[spl_object_id($inside)] ?? null);
            if ($path !== null) {
                $pages->put($path, true);
            }
        }

        return $pages;
    }

    /**
     * Those that are in few of the others, so that nothing is gone through again and again.
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

        return $path !== null && FileKind::ofPath($path) === FileKind::Page
            ? $path
            : null;
    }

    /**
     * @return list<Element> lists of links, and elements that hold links side by side, which no running text is around
     */
    private function listsAndRuns(): array
    {
        $found = [];
        foreach ($this->page->elements as $element) {
            if ($this->isListOrRun($element)) {
                $found[] = $element;
            }
        }
        if ($found === []) {
            return [];
        }
        $text = $this->runningText();
        $isBeside = fn (Element $one) => $text === null
            || $one->place()->start <= $text->start
            || $one->place()->start >= $text->end;

        return array_values(array_filter($found, $isBeside));
    }

    private function isListOrRun(Element $element): bool
    {
        return in_array($element->name, ['ul', 'ol', 'menu'], true)
            ? $this->isListOfLinks($element)
            : $element->name !== 'a' && $this->isRun($element);
    }

    /** From where the first paragraph of running text begins to where the last one does. */
    private function runningText(): ?Span
    {
        $starts = [];
        foreach ($this->page->named('p') as $paragraph) {
            if (! isset($this->links[spl_object_id($paragraph)])
                && mb_strlen($paragraph->words(self::MAX_NODES)) >= self::RUNNING
                && ! $this->isRun($paragraph)) {
                $starts[] = $paragraph->place()->start;
            }
        }

        return $starts === [] ? null : new Span(min($starts), $starts[count($starts) - 1]);
    }

    private function isListOfLinks(Element $list): bool
    {
        $items = $list->elements();
        $linked = array_filter($items, $this->isLinkAlone(...));

        return count($linked) >= 2 && 3 * count($linked) >= 2 * count($items);
    }

    private function isLinkAlone(Element $item): bool
    {
        $children = array_values(
            array_filter($item->children, fn ($child) => ! ($child instanceof TextNode && $child->isBlank())),
        );

        return count($children) === 1
            && $children[0] instanceof Element
            && isset($this->links[spl_object_id($children[0])]);
    }

    private function isRun(Element $element): bool
    {
        $count = 0;
        foreach ($element->children as $child) {
            if ($child instanceof TextNode && trim($child->text, self::SEPARATORS) !== '') {
                return false;
            }
            $count += $child instanceof Element && isset($this->links[spl_object_id($child)]) ? 1 : 0;
        }

        return $count >= 2;
    }

    /** @return list<MenuEntry> its links, and its plain words */
    private function entries(Element $menu): array
    {
        $entries = [];
        $waiting = [[$menu, 0]];
        while ($waiting !== []) {
            [$node, $lists] = array_pop($waiting);
            $reference = $this->links[spl_object_id($node)] ?? null;
            if ($reference !== null && $node instanceof Element) {
                $entries[] = new MenuEntry(
                    Label::of($node),
                    self::key($reference),
                    $node,
                    $reference,
                    $node->place()->start,
                    $lists > 1,
                );
            } elseif ($node instanceof TextNode) {
                $words = preg_replace('/\s+/u', ' ', trim($node->text, self::SEPARATORS)) ?? '';
                if (
                    $words !== ''
                    && mb_strlen($words) <= self::LONGEST_LABEL
                    && $node->parent !== null
                    && ! self::isHeading($node->parent)
                ) {
                    $entries[] = new MenuEntry(
                        $words,
                        $this->page->path(),
                        $node->parent,
                        null,
                        $node->span()->start,
                        $lists > 1,
                    );
                }
            } elseif ($node instanceof Element && ($node === $menu || ! $node->is('nav'))) {
                $inside = $lists + (in_array($node->name, ['ul', 'ol', 'menu'], true) ? 1 : 0);
                foreach (array_reverse($node->children) as $child) {
                    $waiting[] = [$child, $inside];
                }
            }
        }

        return $entries;
    }

    private static function isHeading(Element $element): bool
    {
        for ($above = $element; $above !== null && ! in_array(
            $above->name,
            ['nav', 'ul', 'ol', 'div', 'body'],
            true,
        ); $above = $above->parent) {
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

        return ($target->meant() ?? $target->candidates[0] ?? $target->path ?? $target->address ?? $reference->written)
            .$fragment;
    }

    private function place(Element $menu): string
    {
        $before = null;
        $start = $menu->place()->start;
        foreach ($this->page->outline->parts() as $entry) {
            if ($entry->element === $menu || $start <= $entry->element->place()->start) {
                break;
            }
            $end = $entry->element->endTag()->start ?? PHP_INT_MAX;
            if ($end >= $start && $entry->part !== PartKind::Nav) {
                return "in the {$entry->part?->value}";
            }
            $before = $entry->part === PartKind::Nav ? $before : $entry->part;
        }

        return $before === null ? 'before every other part' : "after the {$before->value}";
    }
}
