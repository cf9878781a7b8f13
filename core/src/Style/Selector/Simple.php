<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;

/** One condition on an element (Selectors Level 4, section 3.2). */
interface Simple
{
    public function matches(Element $element, Matching $matching): bool;

    public function specificity(): Specificity;
}
