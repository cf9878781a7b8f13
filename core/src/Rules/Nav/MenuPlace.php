<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;

/** Where a page’s menu is among the parts, against the other pages. Common practice. */
final readonly class MenuPlace extends MenuRule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'nav/menu-place',
            'Menu in another place',
            Weight::Departure,
            ProofMark::Move,
            'The menu is in a different part of the page from the other pages.',
            'People look for the menu where they saw it last. If it moves, they have to search for it '
                .'on every page.',
            Citation::wcag('3.2.3 Consistent Navigation', 'consistent-navigation'),
            self::EXPLAINED_BY,
        ));
    }
}
