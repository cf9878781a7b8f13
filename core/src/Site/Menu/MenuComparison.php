<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

use InkedMargin\Core\Site\Label;

/** Holds the menu of a page against the menu that it should be. */
final readonly class MenuComparison
{
    /**
     * @param  bool|null  $ownLinked  whether a page's own entry has to be a link, or plain; null when either will do
     * @return list<MenuDifference> one for each thing that differs
     */
    public static function of(?Menu $menu, string $page, CommonMenu $common, ?bool $ownLinked = null): array
    {
        if ($menu === null) {
            return [new MenuDifference(MenuDifferenceKind::NoMenu)];
        }
        $here = $menu->byKey();
        $lacking = array_diff_key($common->entries, $here);
        unset($lacking[$page]);
        $differences = [];
        foreach ($menu->entries as $entry) {
            $isKnown = array_key_exists($entry->key, $common->entries);
            $wanted = $common->entries[$entry->key] ?? null;
            $isRight = $isKnown && ($wanted === null || Label::plain($wanted) === Label::plain($entry->label));
            if ($isRight && $entry->isMisspelt() && $entry->key !== $page) {
                $differences[] = new MenuDifference(MenuDifferenceKind::Readdressed, $entry, $entry->key, $wanted);
            }
            if ($isRight || $entry->key === $page) {
                continue;
            }
            // The words of another entry that is missing, on this address: the address is wrong, and not the words.
            $meant = self::keyOf($entry->label, $lacking);
            if ($meant !== null) {
                $differences[] = new MenuDifference(MenuDifferenceKind::Readdressed, $entry, $meant, $lacking[$meant]);
                unset($lacking[$meant]);
                if ($here[$entry->key] === $entry && $isKnown && ! self::isThere($entry->key, $wanted, $menu)) {
                    $lacking[$entry->key] = $wanted;
                }
            } elseif ($wanted !== null) {
                if (! self::isThere($entry->key, $wanted, $menu)) {
                    $differences[] = new MenuDifference(MenuDifferenceKind::Renamed, $entry, $entry->key, $wanted);
                }
            } elseif ($common->isWhole && self::isExtra($entry, $page)) {
                $differences[] = new MenuDifference(MenuDifferenceKind::Extra, $entry, $entry->key);
            }
        }
        foreach ($lacking as $key => $label) {
            // Words without an address: what is wrong with the tag is told, and the entry is there.
            if (! self::isPlain($label, $menu)) {
                $differences[] = new MenuDifference(MenuDifferenceKind::Missing, null, (string) $key, $label);
            }
        }
        array_push($differences, ...self::doubled($menu, $common), ...self::beside($menu, $common));
        if ($common->hasOrder && CommonMenu::isOutOfOrder(array_keys($here), array_flip($common->keys()))) {
            $differences[] = new MenuDifference(MenuDifferenceKind::Order);
        }
        if ($common->place !== null && $common->place !== $menu->place) {
            $differences[] = new MenuDifference(MenuDifferenceKind::Place);
        }
        $own = $here[$page] ?? null;
        if ($own !== null && $ownLinked !== null && $ownLinked !== ($own->reference !== null)) {
            $differences[] = new MenuDifference(
                $ownLinked ? MenuDifferenceKind::OwnPlain : MenuDifferenceKind::OwnLinked,
                $own,
                $page,
            );
        }

        return $differences;
    }

    /** @return list<MenuDifference> entries that are there twice, and on no other page */
    private static function doubled(Menu $menu, CommonMenu $common): array
    {
        $isSlip = fn (MenuEntry $entry) => array_key_exists($entry->key, $common->entries)
            && ! isset($common->repeated[$entry->key]);
        $slips = array_filter($menu->repeated(), $isSlip);

        return array_values(array_map(
            fn (MenuEntry $entry) => new MenuDifference(MenuDifferenceKind::Twice, $entry, $entry->key),
            $slips,
        ));
    }

    /** @return list<MenuDifference> entries beside the list, which are in it on the other pages */
    private static function beside(Menu $menu, CommonMenu $common): array
    {
        $beside = array_diff_key($menu->besideList(), $common->besideList);
        $isMoved = fn (MenuEntry $entry) => isset($beside[$entry->key])
            && array_key_exists($entry->key, $common->entries)
            && $entry->itemIn($menu->element) === null;
        $entries = array_filter($menu->entries, $isMoved);

        return array_values(array_map(
            fn (MenuEntry $entry) => new MenuDifference(MenuDifferenceKind::OutsideList, $entry, $entry->key),
            $entries,
        ));
    }

    /** An entry for a page of the site that the common menu has not: nested ones show where the reader is. */
    public static function isExtra(MenuEntry $entry, string $page): bool
    {
        return $entry->key !== $page
            && $entry->isInside()
            && ! $entry->isBroken()
            && ! $entry->isNested
            && ! str_starts_with($entry->key, "$page#");
    }

    /** Whether some entry of the menu has both the address and the words. */
    private static function isThere(string $key, ?string $label, Menu $menu): bool
    {
        foreach ($menu->entries as $entry) {
            if ($entry->key === $key && ($label === null || Label::plain($entry->label) === Label::plain($label))) {
                return true;
            }
        }

        return false;
    }

    private static function isPlain(?string $label, Menu $menu): bool
    {
        foreach ($label === null ? [] : $menu->plain as $plain) {
            if ($plain->element->name === 'a' && Label::plain($plain->label) === Label::plain($label ?? '')) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<string, string|null>  $lacking */
    private static function keyOf(string $label, array $lacking): ?string
    {
        $plain = Label::plain($label);
        foreach ($lacking as $key => $wanted) {
            if ($plain !== '' && $wanted !== null && Label::plain($wanted) === $plain) {
                return (string) $key;
            }
        }

        return null;
    }
}
