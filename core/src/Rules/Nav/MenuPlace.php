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

/** Where a page’s menu stands among the parts, against most pages. Common practice. */
final readonly class MenuPlace extends MenuRule
{
    public function __construct()
    {
        parent::__construct('nav/menu-place', Weight::Departure, ProofMark::Move, 'The menu stands in another part of the page than on the other pages.');
    }

    protected function words(MenuDifference $difference, Page $page, ?Menu $menu, SiteReading $reading): ?array
    {
        $usual = $reading->menus()->usual->place ?? '';

        // A part that was never closed swallowed the menu: that is told.
        return $difference->kind === MenuDifferenceKind::Place && $menu !== null && ! $page->pairs->isInsideUnclosed($menu->element)
            ? ["The menu stands {$menu->place} here, and {$usual} on the other pages.", 'Move it to the same place on every page.']
            : null;
    }
}
