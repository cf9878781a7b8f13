<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/** How points follow from what is met. */
enum Credit: string
{
    case All = 'all';
    case Share = 'share';

    /** @param  float  $met the share that is met, 0 to 1 */
    public function of(float $met): float
    {
        return $this === self::All ? floor($met) : $met;
    }
}
