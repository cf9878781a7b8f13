<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;

/** Entries, labels and addresses of a page’s menu against the other pages’, or the brief’s. Common practice. */
final readonly class MenuDiffers extends MenuRule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'nav/menu-differs',
            'Menu entry differs',
            Weight::Departure,
            ProofMark::Change,
            'An entry of the menu is missing, extra, renamed or leads elsewhere.',
            'People learn the menu on one page and expect the same on the next. If one page leaves '
                .'out or renames an entry, they miss that page or think that they left the site.',
            Citation::wcag('3.2.3 Consistent Navigation', 'consistent-navigation'),
            self::EXPLAINED_BY,
        ));
    }
}
