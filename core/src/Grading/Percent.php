<?php

declare(strict_types=1);

namespace InkedMargin\Core\Grading;

/** A share in percent, as it is told: two decimals at most. */
final readonly class Percent
{
    public static function of(float $share): string
    {
        return self::number($share).' %';
    }

    public static function number(float $share): float
    {
        return round(100 * $share, 2);
    }

    public static function orNull(?float $share): ?float
    {
        return $share === null ? null : self::number($share);
    }
}
