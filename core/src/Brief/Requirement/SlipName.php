<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Style\Selector\SelectorError;
use InkedMargin\Core\Style\Selector\SelectorList;

/**
 * Names for what is wrong, so that two requirements that are short of the same thing can be matched: a slip costs
 * points once.
 */
final readonly class SlipName
{
    /**
     * So many elements too few on a page, under each of the selectors that would do.
     *
     * @return list<string>
     */
    public static function lack(Page $page, string $selectors, int $count = 1): array
    {
        return self::ofEach('lack', $page, $selectors, $count);
    }

    /**
     * So many elements too many on a page.
     *
     * @return list<string>
     */
    public static function surplus(Page $page, string $selectors, int $count): array
    {
        return self::ofEach('surplus', $page, $selectors, $count);
    }

    /** An attribute of an element, missing or not wanted. */
    public static function attribute(Page $page, Element $element, string $name): string
    {
        return "attribute {$page->path()} {$element->place()->start} $name";
    }

    /** An element that stands outside the part that it belongs in. */
    public static function outside(Page $page, Element $element): string
    {
        return "outside {$page->path()} {$element->place()->start}";
    }

    /** A link that a page does not have. */
    public static function way(string $from, string $to): string
    {
        return "way $from > $to";
    }

    /** @return list<string> the links that a page might not have, to each page that is there or should be */
    public static function ways(Page $page, ParsedSite $site): array
    {
        return array_map(
            fn (string $to) => self::way($page->path(), $to),
            [...$site->pagePaths(), ...$site->missingPages()],
        );
    }

    /**
     * No such element on any of some pages.
     *
     * @param  list<Page>  $pages
     * @return list<string>
     */
    public static function none(array $pages, string $selectors): array
    {
        return array_merge(...array_map(fn (Page $page) => self::lack($page, $selectors), $pages));
    }

    /**
     * The part of a page that is missing, where all that a selector asks to be in it is there: the part explains the
     * rest. Of `main img` the `main`, on a page that has the pictures.
     *
     * @param  int  $atLeast  so many elements are asked for
     * @return list<string> none where something else is missing, too
     */
    public static function partAround(Page $page, string $selectors, int $atLeast): array
    {
        $parts = [];
        $found = 0;
        foreach (self::alternatives($selectors) as $selector) {
            $steps = preg_split('/\s*[>+~]\s*|\s+/', $selector) ?: [];
            $missing = array_values(array_filter(
                array_keys(array_slice($steps, 0, -1)),
                fn (int $at) => self::count($page, $steps[$at]) === 0,
            ));
            if (count($missing) !== 1) {
                return [];
            }
            $parts[] = "lack {$page->path()} {$steps[$missing[0]]} 1";
            $found += (int) self::count($page, implode(' ', array_slice($steps, $missing[0] + 1)));
        }

        return $found >= $atLeast ? $parts : [];
    }

    /** @return int|null null where it is no selector by itself */
    private static function count(Page $page, string $selector): ?int
    {
        try {
            return count(SelectorList::parse($selector)->all($page->document));
        } catch (SelectorError) {
            return null;
        }
    }

    /** @return list<string> */
    private static function ofEach(string $what, Page $page, string $selectors, int $count): array
    {
        return array_map(
            fn (string $selector) => "$what {$page->path()} $selector $count",
            self::alternatives($selectors),
        );
    }

    /** @return list<string> */
    private static function alternatives(string $selectors): array
    {
        $parts = array_map(
            fn (string $one) => strtolower((string) preg_replace('/\s+/', ' ', trim($one))),
            explode(',', $selectors),
        );

        return array_values(array_unique($parts));
    }
}
