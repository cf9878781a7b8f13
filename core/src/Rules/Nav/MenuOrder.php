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

/** The order of a page’s menu against that of most pages, or the brief’s. Common practice. */
final readonly class MenuOrder extends MenuRule
{
    public function __construct()
    {
        parent::__construct('nav/menu-order', Weight::Departure, ProofMark::Move, 'The menu’s entries stand in another order than on the other pages.');
    }

    protected function words(MenuDifference $difference, Page $page, ?Menu $menu, SiteReading $reading): ?array
    {
        return $difference->kind === MenuDifferenceKind::Order
            ? ['The entries of this menu stand in another order than they should.', 'Put them in the same order on every page.']
            : null;
    }
}
