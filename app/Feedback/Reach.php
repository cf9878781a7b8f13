<?php

declare(strict_types=1);

namespace App\Feedback;

/** How far a decision on all findings of a kind goes. */
enum Reach: string
{
    case Page = 'page';
    case Site = 'site';
    /** The attempts of the assignment that count, and the one that is read. */
    case WholeClass = 'class';
}
