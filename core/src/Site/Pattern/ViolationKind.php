<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

/** How a pattern is broken at one place. */
enum ViolationKind: string
{
    /** no link does what one should */
    case Missing = 'missing';
    /** a link that should do it leads somewhere else */
    case Wrong = 'wrong';
    /** it leads the other way round than its words say */
    case Swapped = 'swapped';
    /** a link that the pattern has no place for */
    case Surplus = 'surplus';
    /** the link is there under other words than the brief gives */
    case Mislabelled = 'mislabelled';
}
