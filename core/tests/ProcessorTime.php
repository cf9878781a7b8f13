<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests;

use Closure;

/** What work takes of the processor: what else the machine does meanwhile makes no difference to it. */
final readonly class ProcessorTime
{
    /** @return float seconds */
    public static function of(Closure $work): float
    {
        $before = self::used();
        $work();

        return self::used() - $before;
    }

    private static function used(): float
    {
        $usage = getrusage();

        return $usage['ru_utime.tv_sec'] + $usage['ru_utime.tv_usec'] / 1e6;
    }
}
