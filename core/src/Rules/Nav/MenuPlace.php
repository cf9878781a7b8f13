<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Menu\MenuDifferenceKind;

/** Where a page’s menu is among the parts, against the other pages. Common practice. */
final readonly class MenuPlace extends MenuRule
{
    public function __construct()
    {
        parent::__construct(
            'nav/menu-place',
            Weight::Departure,
            ProofMark::Move,
            'The menu is in a different part of the page from the other pages.',
            self::EXPLAINED_BY,
        );
    }

    protected function menuVariants(): array
    {
        return self::variantsOf(MenuDifferenceKind::Place);
    }
}
