<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Menu\MenuDifferenceKind;

/** Entries, labels and addresses of a page’s menu against the other pages’, or the brief’s. Common practice. */
final readonly class MenuDiffers extends MenuRule
{
    public function __construct()
    {
        parent::__construct(
            'nav/menu-differs',
            Weight::Departure,
            ProofMark::Change,
            'An entry of the menu is missing, extra, renamed or leads elsewhere.',
            self::EXPLAINED_BY,
        );
    }

    protected function menuVariants(): array
    {
        return self::variantsOf(
            MenuDifferenceKind::Missing,
            MenuDifferenceKind::Extra,
            MenuDifferenceKind::Renamed,
            MenuDifferenceKind::Readdressed,
            MenuDifferenceKind::OwnLinked,
            MenuDifferenceKind::OwnPlain,
        );
    }
}
