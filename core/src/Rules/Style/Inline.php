<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** Styles in attributes, against the brief. Common practice: what stands in one sheet is the same on every page. */
final readonly class Inline extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/inline',
            'Inline style',
            Weight::Departure,
            ProofMark::Move,
            'A `style` attribute, where the brief wants a stylesheet.',
            'A `style` attribute reaches one tag. To change the look of the site, you would have to '
                .'find and edit every one of them.',
            Citation::html('The style attribute', 'dom.html#the-style-attribute'),
        ));
    }
}
