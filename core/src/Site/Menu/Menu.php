<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Label;

/** The menu of one page, reduced to its entries. */
final readonly class Menu
{
    /** @var array<string, MenuEntry> */
    private array $byKey;

    /**
     * @param  list<MenuEntry>  $entries  its links in order; the page's own may be plain words
     * @param  string  $place  where it is among the parts of its page, in words
     * @param  list<MenuEntry>  $plain  words in it that are no links, some of which may be the page's own entry
     * @param  bool  $isInNav  whether a `nav`, or what serves as one, holds it
     */
    public function __construct(
        public string $page,
        public Element $element,
        public array $entries,
        public string $place,
        public array $plain = [],
        public bool $isInNav = true,
    ) {
        $byKey = [];
        foreach ($entries as $entry) {
            $byKey[$entry->key] ??= $entry;
        }
        $this->byKey = $byKey;
    }

    /** @return array<string, MenuEntry> the first entry for each key */
    public function byKey(): array
    {
        return $this->byKey;
    }

    /** @return list<MenuEntry> those that repeat an entry before them: the same place in the same words */
    public function repeated(): array
    {
        if (count($this->byKey) === count($this->entries)) {
            return [];
        }
        $seen = $repeated = [];
        foreach ($this->alone() as $entry) {
            $said = $entry->key."\0".Label::plain($entry->label);
            if (isset($seen[$said])) {
                $repeated[] = $entry;
            }
            $seen[$said] = true;
        }

        return $repeated;
    }

    /** @return list<MenuEntry> those inside the site with no other entry in the item of a list that holds them */
    private function alone(): array
    {
        $items = array_map(fn (MenuEntry $entry) => $entry->itemIn($this->element), $this->entries);
        $ids = array_map(fn (?Element $item) => $item === null ? 0 : spl_object_id($item), $items);
        $counts = array_count_values($ids);
        $isAlone = fn (int $at) => $this->entries[$at]->isInside() && ($ids[$at] === 0 || $counts[$ids[$at]] === 1);

        return array_map(fn (int $at) => $this->entries[$at], array_values(array_filter(array_keys($ids), $isAlone)));
    }

    /** @return array<string, true> what those entries lead to that no item of a list holds, where most are held */
    public function besideList(): array
    {
        $beside = array_filter($this->entries, fn (MenuEntry $entry) => $entry->itemIn($this->element) === null);
        if (2 * count($beside) >= count($this->entries)) {
            return [];
        }

        return array_fill_keys(array_map(fn (MenuEntry $entry) => $entry->key, $beside), true);
    }

    /** @return array<string, true> what it leads to, but for its own page */
    public function targets(): array
    {
        $targets = [];
        foreach ($this->entries as $entry) {
            if ($entry->key !== $this->page) {
                $targets[$entry->key] = true;
            }
        }

        return $targets;
    }

    /**
     * With the plain words that are the page's own entry, put in their place: those that say what the page is usually
     * called.
     *
     * @param  list<string>  $labels  what other menus call this page, in plain form
     */
    public function withOwnEntry(array $labels): self
    {
        if (isset($this->byKey()[$this->page])) {
            return $this;
        }
        foreach ($this->plain as $plain) {
            if (in_array(Label::plain($plain->label), $labels, true)) {
                return $this->with($plain);
            }
        }

        return $this;
    }

    /** @param  \Closure(string): string  $at  where what an entry names is */
    public function at(\Closure $at): self
    {
        return new self(
            $this->page,
            $this->element,
            array_map(fn (MenuEntry $entry) => $entry->leadingTo($at($entry->key)), $this->entries),
            $this->place,
            $this->plain,
            $this->isInNav,
        );
    }

    private function with(MenuEntry $own): self
    {
        $entries = [...$this->entries, $own];
        usort($entries, fn (MenuEntry $a, MenuEntry $b) => $a->offset <=> $b->offset);

        return new self($this->page, $this->element, $entries, $this->place, $this->plain, $this->isInNav);
    }
}
