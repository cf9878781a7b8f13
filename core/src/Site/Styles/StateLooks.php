<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Style\Cascade\Cascade;
use InkedMargin\Core\Style\Cascade\ComputedStyle;

/** What changes on a page with the state of its links, and what it looks like then. */
final readonly class StateLooks
{
    /**
     * @param  list<Element>  $elements
     * @param  array<int, ComputedStyle>  $computed  by the object id of the element
     */
    public function __construct(public array $elements, public Cascade $cascade, public array $computed)
    {
    }
}
