<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

/** By what one declaration wins over another (CSS Cascade 4, Cascade Sorting Order). */
enum Criterion
{
    case Importance;
    /** a `style` attribute wins over a rule */
    case Attachment;
    case Layer;
    case Specificity;
    case Order;
}
