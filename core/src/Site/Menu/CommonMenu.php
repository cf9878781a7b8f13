<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

use InkedMargin\Core\Site\Label;

/** The menu that some pages of a site have in common: what each of them is held against. */
final readonly class CommonMenu
{
    /** So many menus have to agree on an order, a label or a place before it is the common one. */
    private const CLEAR = 2 / 3;

    /**
     * @param  array<string, string|null>  $entries labels by what they lead to, in order; null where the pages do not
     *     agree
     * @param  string|null  $place  null when there is no common one
     * @param  bool  $hasOrder  whether the pages agree on an order
     * @param  bool  $isWhole  whether most pages have these entries and no others
     * @param  array<string, true>  $repeated  what several menus have twice, and so on purpose
     * @param  array<string, true>  $besideList  likewise, what stands beside the list of the others
     */
    public function __construct(
        public array $entries,
        public ?string $place = null,
        public bool $hasOrder = true,
        public bool $isWhole = true,
        public array $repeated = [],
        public array $besideList = [],
    ) {
    }

    /**
     * What most of the menus have, in the order that most have it in.
     *
     * @param  non-empty-list<Menu>  $menus
     */
    public static function among(array $menus): self
    {
        $labels = $pages = [];
        foreach ($menus as $menu) {
            $pages[$menu->page] = true;
            foreach ($menu->byKey() as $key => $entry) {
                $labels[$key][] = $entry;
            }
        }
        $common = [];
        foreach ($labels as $key => $entries) {
            // A page may leave its own entry out.
            $others = count($menus) - (isset($pages[$key]) ? 1 : 0);
            $having = count(array_filter(
                $entries,
                fn (MenuEntry $entry) => $entry->reference !== null && $entry->reference->from->path !== (string) $key,
            ));
            // On a small site its own entry on the page itself says that it is one.
            $isOwn = count($entries) > $having;
            if (2 * $having > $others || ($isOwn && 2 * ($having + 1) > count($menus))) {
                $common[$key] = self::label($entries);
            }
        }
        $order = self::order($menus, $common);
        $places = self::mostOf(array_map(fn (Menu $menu) => $menu->place, $menus));

        return new self(
            array_replace(array_fill_keys($order->keys, null), $common),
            $places->count >= self::CLEAR * count($menus) ? $places->value : null,
            $order->isClear,
            self::areWhole($menus, $common),
            self::several(array_map(
                fn (Menu $menu) => array_fill_keys(array_column($menu->repeated(), 'key'), true),
                $menus,
            )),
            self::several(array_map(fn (Menu $menu) => $menu->besideList(), $menus)),
        );
    }

    /**
     * @param  list<array<string, true>>  $sets
     * @return array<string, true> what more than one of them has
     */
    private static function several(array $sets): array
    {
        $keys = array_merge(...array_map(fn (array $set) => array_map(strval(...), array_keys($set)), $sets));

        $often = array_filter(array_count_values($keys), fn (int $count) => $count > 1);

        return array_fill_keys(array_map(strval(...), array_keys($often)), true);
    }

    /**
     * @param  non-empty-list<Menu>  $menus
     * @param  array<string, string|null>  $common
     */
    private static function areWhole(array $menus, array $common): bool
    {
        $whole = 0;
        foreach ($menus as $menu) {
            $extra = array_filter(
                $menu->byKey(),
                fn (MenuEntry $entry) => MenuComparison::isExtra($entry, $menu->page) && ! array_key_exists(
                    $entry->key,
                    $common,
                ),
            );
            $whole += $extra === [] ? 1 : 0;
        }

        return $whole >= self::CLEAR * count($menus);
    }

    /** @param  \Closure(string): string  $at  where what an entry names is */
    public function at(\Closure $at): self
    {
        $entries = [];
        foreach ($this->entries as $key => $label) {
            $entries[$at((string) $key)] = $label;
        }

        return new self($entries, $this->place, $this->hasOrder, $this->isWhole, $this->repeated, $this->besideList);
    }

    /** @return list<string> what it leads to, in order */
    public function keys(): array
    {
        return array_map(strval(...), array_keys($this->entries));
    }

    /** @param  non-empty-list<MenuEntry>  $entries  for one page */
    private static function label(array $entries): ?string
    {
        $linked = array_values(array_filter($entries, fn (MenuEntry $entry) => $entry->reference !== null)) ?: $entries;
        $usual = self::mostOf(array_map(fn (MenuEntry $entry) => $entry->label, $linked));
        $alike = count(
            array_filter($linked, fn (MenuEntry $entry) => Label::plain($entry->label) === Label::plain($usual->value)),
        );

        return max($usual->count, $alike) >= self::CLEAR * count($linked) ? $usual->value : null;
    }

    /**
     * The order that most menus have, with what they lack put behind what is before it elsewhere.
     *
     * @param  non-empty-list<Menu>  $menus
     * @param  array<string, string|null>  $common
     */
    private static function order(array $menus, array $common): EntryOrder
    {
        $shapes = [];
        foreach ($menus as $menu) {
            $keys = array_keys(array_intersect_key($menu->byKey(), $common));
            $shapes[] = implode("\0", $keys);
        }
        $usual = explode("\0", self::mostOf($shapes)->value);
        $order = array_values(array_filter($usual, fn (string $key) => $key !== ''));
        $place = array_flip($order);
        foreach ($menus as $menu) {
            $before = -1;
            foreach (array_map(strval(...), array_keys(array_intersect_key($menu->byKey(), $common))) as $key) {
                if (! isset($place[$key])) {
                    array_splice($order, $before + 1, 0, [$key]);
                    $place = array_flip($order);
                }
                $before = $place[$key];
            }
        }
        $agreeing = count(
            array_filter($menus, fn (Menu $menu) => ! self::isOutOfOrder(array_keys($menu->byKey()), $place)),
        );

        return new EntryOrder($order, $agreeing >= self::CLEAR * count($menus));
    }

    /**
     * @param  list<int|string>  $keys
     * @param  array<string, int>  $place  by key
     */
    public static function isOutOfOrder(array $keys, array $place): bool
    {
        $last = -1;
        foreach ($keys as $key) {
            $at = $place[$key] ?? null;
            if ($at !== null && $at < $last) {
                return true;
            }
            $last = $at ?? $last;
        }

        return false;
    }

    /**
     * @param  non-empty-list<string>  $values
     */
    private static function mostOf(array $values): Commonest
    {
        $counts = array_count_values($values);
        arsort($counts);
        $most = array_key_first($counts);

        return new Commonest((string) $most, $counts[$most]);
    }
}
