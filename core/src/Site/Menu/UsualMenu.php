<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

/** The menu that the pages of a site have in common: the yardstick for each of them. */
final readonly class UsualMenu
{
    /** How alike the menus of a site have to be on average (share of entries in common), for one of them to be the yardstick. */
    private const ALIKE = 0.6;

    /** The share of its entries that pages have to have on average, or it is no menu that they have in common. */
    private const KEPT = 0.75;

    /**
     * @param  array<string, string>  $entries  labels by what they lead to, in order
     * @param  string|null  $place  null when there is no usual one
     */
    public function __construct(public array $entries, public ?string $place = null)
    {
    }

    /**
     * The menu that is most like the others, without what most others lack and with what most others have; null when the menus of
     * the site are no copies of one.
     *
     * @param  list<Menu>  $menus
     */
    public static function among(array $menus): ?self
    {
        $keys = array_map(fn (Menu $menu) => array_fill_keys(array_map(strval(...), array_keys($menu->byKey())), true), $menus);
        $best = null;
        $bestLikeness = self::ALIKE;
        // With many pages a sample of them is as good a judge as all, and keeps this linear.
        $judges = count($menus) <= 40 ? array_keys($menus) : array_map(fn (int $nth) => intdiv($nth * count($menus), 40), range(0, 39));
        $seen = [];
        foreach ($judges as $index) {
            $shape = implode("\0", array_keys($keys[$index]));
            if (isset($seen[$shape])) {
                continue;
            }
            $seen[$shape] = true;
            $sum = 0.0;
            foreach ($judges as $other) {
                $sum += self::likeness($keys[$index], $keys[$other], $menus[$index]->page, $menus[$other]->page);
            }
            $likeness = $sum / count($judges);
            if ($likeness > $bestLikeness || ($likeness === $bestLikeness && ($best === null || count($keys[$index]) > count($keys[$best])))) {
                [$best, $bestLikeness] = [$index, $likeness];
            }
        }
        if ($best === null || count($menus) < 3) {
            return null;
        }
        $entries = self::agreed($menus, $best);
        if (count($entries) < 2 || self::kept($keys, $menus, $entries) < self::KEPT) {
            return null;
        }
        $places = array_count_values(array_map(fn (Menu $menu) => $menu->place, $menus));
        arsort($places);
        $place = (string) array_key_first($places);

        return new self($entries, 2 * $places[$place] > count($menus) ? $place : null);
    }

    /**
     * How much of the common menu the pages have, on average.
     *
     * @param  list<array<string, true>>  $keys  of each menu
     * @param  list<Menu>  $menus
     * @param  array<string, string>  $entries
     */
    private static function kept(array $keys, array $menus, array $entries): float
    {
        $wanted = array_fill_keys(array_map(strval(...), array_keys($entries)), true);

        return array_sum(array_map(fn (array $have, Menu $menu) => self::likeness($have, $wanted, $menu->page, $menu->page), $keys, $menus)) / count($menus);
    }

    /**
     * The entries of both, without those for the two pages themselves, which may leave their own out.
     *
     * @param  array<string, true>  $one
     * @param  array<string, true>  $other
     */
    private static function likeness(array $one, array $other, string $page, string $otherPage): float
    {
        unset($one[$page], $one[$otherPage], $other[$page], $other[$otherPage]);
        $all = count($one + $other);

        return $all === 0 ? 1.0 : count(array_intersect_key($one, $other)) / $all;
    }

    /**
     * @param  list<Menu>  $menus
     * @return array<string, string>
     */
    private static function agreed(array $menus, int $best): array
    {
        $labels = [];
        $owners = [];
        foreach ($menus as $menu) {
            $owners[$menu->page] = true;
            foreach ($menu->byKey() as $key => $entry) {
                $labels[$key][] = $entry;
            }
        }
        $usual = [];
        foreach ($labels as $key => $entries) {
            $others = count($menus) - (isset($owners[$key]) ? 1 : 0);
            $having = count(array_filter($entries, fn (MenuEntry $entry) => $entry->reference === null || $entry->reference->from->path !== (string) $key));
            if (2 * $having > $others) {
                $usual[$key] = true;
            }
        }
        $isUsual = fn (string $key) => isset($usual[$key]);
        $order = self::order($menus, $best, $isUsual);
        $entries = [];
        foreach ($order as $key) {
            $said = array_count_values(array_map(fn (MenuEntry $entry) => $entry->label, $labels[$key]));
            arsort($said);
            $entries[$key] = (string) array_key_first($said);
        }

        return $entries;
    }

    /**
     * The order of the best menu, with what it lacks put behind what stands before it elsewhere.
     *
     * @param  list<Menu>  $menus
     * @param  \Closure(string): bool  $isUsual
     * @return list<string>
     */
    private static function order(array $menus, int $best, \Closure $isUsual): array
    {
        $orders = array_count_values(array_map(fn (Menu $menu) => implode("\0", array_keys($menu->byKey())), $menus));
        arsort($orders);
        $usual = array_key_first($orders);
        $order = $usual !== null && $orders[$usual] > 1 ? explode("\0", (string) $usual) : array_keys($menus[$best]->byKey());
        $order = array_values(array_filter(array_map(strval(...), $order), $isUsual));
        foreach ($menus as $menu) {
            $before = null;
            foreach (array_keys($menu->byKey()) as $key) {
                $key = (string) $key;
                if (! in_array($key, $order, true) && $isUsual($key)) {
                    $at = $before === null ? -1 : (int) array_search($before, $order, true);
                    array_splice($order, $at + 1, 0, [$key]);
                }
                $before = in_array($key, $order, true) ? $key : $before;
            }
        }

        return $order;
    }
}
