<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** How points follow from what is met. */
enum Credit: string
{
    /** all or nothing */
    case All = 'all';
    /** in proportion to what is met */
    case Share = 'share';
    /** by how many things are wrong */
    case Steps = 'steps';
}
