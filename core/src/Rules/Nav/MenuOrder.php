<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Menu\MenuDifferenceKind;

/** The order of a menu’s entries against the other pages’. Common practice. */
final readonly class MenuOrder extends MenuRule
{
    public function __construct()
    {
        parent::__construct(
            'nav/menu-order',
            Weight::Departure,
            ProofMark::Move,
            'The entries of the menu are in a different order from the other pages.',
            self::EXPLAINED_BY,
        );
    }

    protected function menuVariants(): array
    {
        return self::variantsOf(MenuDifferenceKind::Order);
    }
}
