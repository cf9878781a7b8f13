<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/**
 * PHP's garbage collector, which looks through every node of every page whenever it comes, and finds nothing while a
 * site is read.
 */
final readonly class GarbageCollector
{
    /**
     * Does some work without it.
     *
     * @template T
     *
     * @param  \Closure(): T  $work
     * @return T
     */
    public static function disabledDuring(\Closure $work): mixed
    {
        $collects = gc_enabled();
        gc_disable();
        try {
            return $work();
        } finally {
            if ($collects) {
                gc_enable();
            }
        }
    }
}
