<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Menu\Menu;
use InkedMargin\Core\Site\Menu\MenuDifference;
use InkedMargin\Core\Site\Menu\MenuDifferenceKind;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Site\Verdict;

/** Entries, labels and addresses of a page’s menu against the menu of most pages, or the brief’s. Common practice. */
final readonly class MenuDiffers extends MenuRule
{
    public function __construct()
    {
        parent::__construct('nav/menu-differs', Weight::Departure, ProofMark::Change, 'An entry of the menu is missing, too many, under other words or on another address.');
    }

    protected function words(MenuDifference $difference, Page $page, ?Menu $menu, SiteReading $reading): ?array
    {
        $entry = $difference->entry;

        return match ($difference->kind) {
            MenuDifferenceKind::Missing => ["The menu has no entry “{$difference->label}”, and should have one.", 'Add it in its place.'],
            MenuDifferenceKind::Extra => ["The menu’s entry “{$entry?->label}” is in the menu of no other page, or of few.", 'Take it out, or add it to every page.'],
            MenuDifferenceKind::Renamed => ["The menu says “{$entry?->label}” for {$difference->key}; it should say “{$difference->label}”.", "Type {$difference->label}."],
            MenuDifferenceKind::Readdressed => self::isToldElsewhere($difference, $page, $reading)
                ? null
                : ["The menu’s entry “{$entry?->label}” leads to {$entry?->key}; it should lead to {$difference->key}.", "Type {$entry?->reference?->textFor((string) $difference->key)}."],
            MenuDifferenceKind::OwnLinked => ['The menu’s entry for this page is a link; the brief wants plain words.', 'Take the a tags around it out.'],
            MenuDifferenceKind::OwnPlain => ['The menu’s entry for this page is plain words; the brief wants a link.', 'Put <a href="…"> and </a> around it.'],
            default => null,
        };
    }

    protected function markOf(MenuDifference $difference): ProofMark
    {
        return match ($difference->kind) {
            MenuDifferenceKind::Missing => ProofMark::Insert,
            MenuDifferenceKind::Extra => ProofMark::TakeOut,
            default => ProofMark::Change,
        };
    }

    /** A broken address, and a label on the address of another page, have rules of their own. */
    private static function isToldElsewhere(MenuDifference $difference, Page $page, SiteReading $reading): bool
    {
        $entry = $difference->entry;
        if ($entry?->reference === null || $entry->isBroken() || $entry->reference->target->verdict === Verdict::Placeholder) {
            return true;
        }
        foreach ($reading->map()->linksOn($page->path()) as $link) {
            if ($link->reference === $entry->reference) {
                return $reading->names()->belied($link) !== null;
            }
        }

        return false;
    }
}
