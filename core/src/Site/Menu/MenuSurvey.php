<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;

/**
 * The menus of all pages of a site, and what groups of pages have in common.
 *
 * Pages whose menus are alike are a group: a language, a section with a menu of its own. A page is held against its
 * group alone, and a page that is in none is held against nothing.
 */
final readonly class MenuSurvey implements SiteFact
{
    /** The share of their entries that two menus have in common when they are copies of one. */
    private const ALIKE = 0.6;

    /** Fewer pages are no group. */
    private const LEAST_PAGES = 3;

    /** The share of the common entries that the pages of a group have on average. */
    private const KEPT = 0.75;

    /** So many different menus are compared with each other; a site with more has no common one. */
    private const MAX_SHAPES = 60;

    /**
     * @param  array<string, Menu|null>  $menus  by page
     * @param  array<string, CommonMenu>  $common  by page, for those that are in a group
     * @param  CommonMenu|null  $usual  of the largest group; null when there is none
     * @param  int  $usualPages  how many pages the largest group has
     */
    private function __construct(
        public array $menus,
        private array $common,
        public ?CommonMenu $usual,
        public int $usualPages,
    ) {
    }

    public static function of(ParsedSite $site): self
    {
        $candidates = array_map(fn (Page $page) => MenuFinder::in($page), $site->pages);
        $leads = self::leads(array_merge(...array_values($candidates)));
        $menus = [];
        $groups = [];
        foreach ($candidates as $path => $found) {
            $chosen = self::choose($found, $leads);
            $menus[$path] = $chosen->menu;
            if ($chosen->menu !== null && $chosen->lead !== null) {
                $groups[$chosen->lead][] = $chosen->menu;
            }
        }
        $common = [];
        $usual = null;
        $most = 0;
        foreach ($groups as $group) {
            $shared = self::isSiteMenu($group, count($site->pages)) ? self::commonOf($group) : null;
            if ($shared === null) {
                continue;
            }
            foreach ($group as $menu) {
                $common[$menu->page] = $shared;
            }
            if (count($group) > $most) {
                [$usual, $most] = [$shared, count($group)];
            }
        }
        $labels = self::labels($menus);
        $names = fn (string $path) => [
            ...$labels[$path] ?? [],
            ...Label::ofPath($path),
            Label::plain($site->pages[$path]->outline->mainHeading()->text ?? ''),
        ];
        $menus = array_map(fn (?Menu $menu) => $menu?->withOwnEntry($names($menu->page)), $menus);

        return new self($menus, $common, $usual, $most);
    }

    public function on(string $page): ?Menu
    {
        return $this->menus[$page] ?? null;
    }

    /** What a page's menu has in common with the others of its group; null when it is in none. */
    public function commonFor(string $page): ?CommonMenu
    {
        return $this->common[$page] ?? null;
    }

    /**
     * The menus that others are copies of: the commonest first, none like one before it.
     *
     * @param  list<Menu>  $menus
     * @return list<Menu>
     */
    private static function leads(array $menus): array
    {
        $shapes = $first = [];
        foreach ($menus as $menu) {
            $keys = array_map(strval(...), array_keys($menu->byKey()));
            sort($keys, SORT_STRING);
            $shape = 'shape '.implode("\0", $keys);
            $shapes[$shape] = ($shapes[$shape] ?? 0) + 1;
            $first[$shape] ??= $menu;
        }
        arsort($shapes);
        $distinct = array_map(
            fn (string $shape) => $first[$shape],
            array_keys(array_slice($shapes, 0, self::MAX_SHAPES)),
        );
        // Each is judged by how much the others are like it, so that a menu nobody copied does not lead.
        $support = [];
        foreach ($distinct as $index => $menu) {
            $support[$index] = 0.0;
            foreach ($distinct as $other) {
                $likeness = self::likeness($menu, $other);
                $keys = array_map(strval(...), array_keys($other->byKey()));
                sort($keys, SORT_STRING);
                $support[$index] += $likeness >= self::ALIKE
                    ? $likeness * ($shapes['shape '.implode("\0", $keys)] ?? 1)
                    : 0.0;
            }
        }
        arsort($support);
        $leads = [];
        foreach (array_keys($support) as $index) {
            $isLike = fn (Menu $lead) => self::likeness($lead, $distinct[$index]) >= self::ALIKE;
            if (array_filter($leads, $isLike) === []) {
                $leads[] = $distinct[$index];
            }
        }

        return $leads;
    }

    /**
     * @param  list<Menu>  $candidates  of one page
     * @param  list<Menu>  $leads
     */
    private static function choose(array $candidates, array $leads): ChosenMenu
    {
        foreach ($leads as $index => $lead) {
            $best = null;
            $bestLikeness = self::ALIKE;
            foreach ($candidates as $menu) {
                $likeness = self::likeness($menu, $lead);
                if ($likeness >= $bestLikeness) {
                    [$best, $bestLikeness] = [$menu, $likeness];
                }
            }
            if ($best !== null) {
                return new ChosenMenu($best, $index);
            }
        }

        return new ChosenMenu($candidates[0] ?? null, null);
    }

    /**
     * A list of links that no `nav` holds is a menu where half of the pages have it; fewer are pages that happen to
     * link alike.
     *
     * @param  list<Menu>  $group
     */
    private static function isSiteMenu(array $group, int $pages): bool
    {
        return array_filter($group, fn (Menu $menu) => ! $menu->isInNav) === [] || 2 * count($group) >= $pages;
    }

    /** @param  list<Menu>  $group */
    private static function commonOf(array $group): ?CommonMenu
    {
        if (count($group) < self::LEAST_PAGES) {
            return null;
        }
        $common = CommonMenu::among($group);
        if (count($common->entries) < 2) {
            return null;
        }
        $kept = 0.0;
        $whole = 0;
        foreach ($group as $menu) {
            $wanted = array_diff_key($common->entries, [$menu->page => true]);
            $share = $wanted === [] ? 1.0 : count(array_intersect_key($wanted, $menu->targets())) / count($wanted);
            $kept += $share;
            $whole += $share >= 1.0 ? 1 : 0;
        }

        // Where hardly a page has all of it, nobody meant it: every other page of a chain leads to the same neighbours.
        return $kept / count($group) >= self::KEPT && 2 * $whole >= count($group) ? $common : null;
    }

    /**
     * The share of what two menus lead to that both lead to, but for the two pages themselves, which may leave their
     * own out.
     */
    private static function likeness(Menu $one, Menu $other): float
    {
        $pages = [$one->page => true, $other->page => true];
        $ones = array_diff_key($one->targets(), $pages);
        $others = array_diff_key($other->targets(), $pages);
        $all = count($ones + $others);
        $shared = $all === 0 ? 0.0 : count(array_intersect_key($ones, $others)) / $all;
        if ($shared >= self::ALIKE) {
            return $shared;
        }
        // Of small menus little is left without the two: there their own entries tell as well.
        $whole = $one->byKey() + $other->byKey();

        return max($shared, count(array_intersect_key($one->byKey(), $other->byKey())) / max(1, count($whole)));
    }

    /**
     * What menus call a page.
     *
     * @param  array<string, Menu|null>  $menus
     * @return array<string, list<string>> plain labels by page
     */
    private static function labels(array $menus): array
    {
        $labels = [];
        foreach ($menus as $menu) {
            foreach ($menu->entries ?? [] as $entry) {
                $labels[$entry->key][Label::plain($entry->label)] = true;
            }
        }

        return array_map(fn (array $plain) => array_map(strval(...), array_keys($plain)), $labels);
    }
}
