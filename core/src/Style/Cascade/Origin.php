<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

/**
 * Where a declaration comes from, the weaker first (CSS Cascade 5, section 6.2); hints are attributes such as
 * `bgcolor`.
 */
enum Origin: int
{
    case Browser = 0;
    case Hint = 1;
    case Author = 2;
}
