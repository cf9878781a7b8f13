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
    public static function of(?Menu $menu, string $page, UsualMenu $usual, ?bool $ownLinked = null): array
    {
        if ($menu === null) {
            return [new MenuDifference(MenuDifferenceKind::NoMenu)];
        }
        $here = $menu->byKey();
        $lacking = array_diff_key($usual->entries, $here);
        unset($lacking[$page]);
        $differences = [];
        foreach ($menu->entries as $entry) {
            $wanted = $usual->entries[$entry->key] ?? null;
            $isRight = $wanted !== null && Label::plain($wanted) === Label::plain($entry->label);
            if ($isRight || ($entry->key === $page && $entry->reference === null)) {
                // Words in an a without an address: what is wrong with the tag is told, and the entry is there.
                if ($entry->reference === null && $entry->element->name === 'a') {
                    unset($lacking[self::keyOf($entry->label, $lacking) ?? '']);
                }

                continue;
            }
            // The words of another entry that is not there, on this address: the address is wrong, and not the words.
            $meant = self::keyOf($entry->label, $lacking);
            if ($meant !== null) {
                $differences[] = new MenuDifference(MenuDifferenceKind::Readdressed, $entry, $meant, $lacking[$meant]);
                unset($lacking[$meant]);
                if ($here[$entry->key] === $entry && $wanted !== null && ! self::isThere($entry->key, $wanted, $menu) && $entry->key !== $page) {
                    $lacking[$entry->key] = $wanted;
                }
            } elseif ($wanted !== null) {
                if (! self::isThere($entry->key, $wanted, $menu)) {
                    $differences[] = new MenuDifference(MenuDifferenceKind::Renamed, $entry, $entry->key, $wanted);
                }
            } elseif ($entry->isInside() && ! $entry->isBroken() && ! str_starts_with($entry->key, "{$page}#")) {
                $differences[] = new MenuDifference(MenuDifferenceKind::Extra, $entry);
            }
        }
        foreach ($lacking as $key => $label) {
            $differences[] = new MenuDifference(MenuDifferenceKind::Missing, null, (string) $key, $label);
        }
        if (self::isOutOfOrder(array_keys($here), array_keys($usual->entries))) {
            $differences[] = new MenuDifference(MenuDifferenceKind::Order);
        }
        if ($usual->place !== null && $usual->place !== $menu->place) {
            $differences[] = new MenuDifference(MenuDifferenceKind::Place);
        }
        $own = $here[$page] ?? null;
        if ($own !== null && $ownLinked !== null && $ownLinked !== ($own->reference !== null)) {
            $differences[] = new MenuDifference($ownLinked ? MenuDifferenceKind::OwnPlain : MenuDifferenceKind::OwnLinked, $own, $page);
        }

        return $differences;
    }

    /** Whether some entry of the menu has both the address and the words. */
    private static function isThere(string $key, string $label, Menu $menu): bool
    {
        foreach ($menu->entries as $entry) {
            if ($entry->key === $key && Label::plain($entry->label) === Label::plain($label)) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<string, string>  $lacking */
    private static function keyOf(string $label, array $lacking): ?string
    {
        foreach ($lacking as $key => $wanted) {
            if (Label::plain($wanted) === Label::plain($label) && Label::plain($label) !== '') {
                return (string) $key;
            }
        }

        return null;
    }

    /**
     * @param  list<int|string>  $here
     * @param  list<int|string>  $usual
     */
    private static function isOutOfOrder(array $here, array $usual): bool
    {
        $places = array_flip($usual);
        $last = -1;
        foreach ($here as $key) {
            $place = $places[$key] ?? null;
            if ($place === null) {
                continue;
            }
            if ($place < $last) {
                return true;
            }
            $last = $place;
        }

        return false;
    }
}
