<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;

/** The order of a menu’s entries against the other pages’. Common practice. */
final readonly class MenuOrder extends MenuRule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'nav/menu-order',
            'Menu order differs',
            Weight::Departure,
            ProofMark::Move,
            'The entries of the menu are in a different order from the other pages.',
            'People click where the entry was on the last page. If the order changes, they land on '
                .'the wrong page.',
            Citation::wcag('3.2.3 Consistent Navigation', 'consistent-navigation'),
            self::EXPLAINED_BY,
        ));
    }
}
