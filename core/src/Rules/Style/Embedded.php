<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/**
 * Styles in the head of a page, against the brief. Common practice: what stands in one sheet is the same on every page.
 */
final readonly class Embedded extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/embedded',
            'Embedded style',
            Weight::Departure,
            ProofMark::Move,
            'A `style` element, where the brief wants a stylesheet.',
            'Styles written in one page do not reach the others. You would have to repeat each change '
                .'on every page.',
            Citation::html('The style element', 'semantics.html#the-style-element'),
        ));
    }
}
