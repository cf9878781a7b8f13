<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;

/**
 * A page without the menu that the others have, or pages with no menu in common where the brief asks for one. Common
 * practice.
 */
final readonly class MissingMenu extends MenuRule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'nav/missing-menu',
            'Missing menu',
            Weight::Departure,
            ProofMark::Insert,
            'A page does not have the menu of the other pages.',
            'People learn the menu on one page and look for it on the next. Without it they can leave '
                .'this page only with the Back button.',
            Citation::wcag('3.2.3 Consistent Navigation', 'consistent-navigation'),
            ['markup/unclosed-element', 'markup/content-model'],
        ));
    }
}
