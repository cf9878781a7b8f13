<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Kind\Stylesheets;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/**
 * Styles in the head of a page, against the brief. Common practice: what stands in one sheet is the same on every page.
 */
final readonly class Embedded extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'style/embedded',
            Weight::Departure,
            ProofMark::Move,
            'A `style` element, where the brief wants a stylesheet.',
        );
    }

    public function speaksFor(): array
    {
        return [Stylesheets::class => ['embedded']];
    }
}
