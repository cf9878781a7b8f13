<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Menu\MenuDifferenceKind;

/**
 * A page without the menu that the others have, or pages with no menu in common where the brief asks for one. Common
 * practice.
 */
final readonly class MissingMenu extends MenuRule
{
    public function __construct()
    {
        parent::__construct(
            'nav/missing-menu',
            Weight::Departure,
            ProofMark::Insert,
            'A page does not have the menu of the other pages.',
            ['markup/unclosed-element', 'markup/content-model'],
        );
    }

    protected function menuVariants(): array
    {
        return [...self::variantsOf(MenuDifferenceKind::NoMenu), 'no-common-menu'];
    }
}
