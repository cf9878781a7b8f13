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

/** A page without the menu that most pages have. Common practice. */
final readonly class MissingMenu extends MenuRule
{
    public function __construct()
    {
        parent::__construct('nav/missing-menu', Weight::Departure, ProofMark::Insert, 'A page has no menu, and the others have one.');
    }

    protected function words(MenuDifference $difference, Page $page, ?Menu $menu, SiteReading $reading): ?array
    {
        return $difference->kind === MenuDifferenceKind::NoMenu
            ? ['This page has no menu, and the others have one.', 'Copy the menu of another page here, and mind the way from this folder.']
            : null;
    }
}
