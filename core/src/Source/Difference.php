<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

use SebastianBergmann\Diff\Differ;
use SebastianBergmann\Diff\Output\DiffOnlyOutputBuilder;

/**
 * What was put in place of what, between two lists: a stretch of the one that became a stretch of the other. Their
 * longest common subsequence is left alone.
 */
final readonly class Difference
{
    /** Where more has to be compared with more, it is told as one stretch. */
    private const MOST = 1_000_000;

    /**
     * @param  int  $from  index in the first list, as is `$until`, which is not part of it
     * @param  int  $start  index in the second list, as is `$end`
     */
    private function __construct(public int $from, public int $until, public int $start, public int $end)
    {
    }

    /**
     * @param  list<string>  $old
     * @param  list<string>  $new
     * @return list<self> in order
     */
    public static function between(array $old, array $new): array
    {
        $shared = min(count($old), count($new));
        $front = 0;
        while ($front < $shared && $old[$front] === $new[$front]) {
            $front++;
        }
        $back = 0;
        while ($back < $shared - $front && $old[count($old) - 1 - $back] === $new[count($new) - 1 - $back]) {
            $back++;
        }
        $left = array_slice($old, $front, count($old) - $front - $back);
        $right = array_slice($new, $front, count($new) - $front - $back);
        if ($left === [] && $right === []) {
            return [];
        }
        if (count($left) * count($right) > self::MOST || $left === [] || $right === []) {
            return [new self($front, $front + count($left), $front, $front + count($right))];
        }

        return self::stretches((new Differ(new DiffOnlyOutputBuilder))->diffToArray($left, $right), $front);
    }

    /**
     * @param  array<mixed>  $steps  of the library: each a token, and whether it is kept (0), new (1) or gone (2)
     * @return list<self>
     */
    private static function stretches(array $steps, int $at): array
    {
        $found = [];
        [$old, $new, $from, $start] = [$at, $at, $at, $at];
        foreach ([...$steps, ['', Differ::OLD]] as $step) {
            $kind = is_array($step) ? $step[1] ?? Differ::OLD : Differ::OLD;
            if ($kind === Differ::ADDED) {
                $new++;
            } elseif ($kind === Differ::REMOVED) {
                $old++;
            } else {
                if ($old > $from || $new > $start) {
                    $found[] = new self($from, $old, $start, $new);
                }
                $from = ++$old;
                $start = ++$new;
            }
        }

        return $found;
    }
}
