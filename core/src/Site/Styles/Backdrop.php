<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Style\Colour\Colour;

/** What is seen behind an element, and the element that is coloured so; null for the bare page. */
final readonly class Backdrop
{
    public function __construct(public Colour $colour, public ?Element $coloured)
    {
    }
}
