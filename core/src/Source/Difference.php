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
    /** Pairs: longer lists are first divided at what each has once. What is longer still is told as one stretch. */
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
        if ($left === [] || $right === []) {
            return [new self($front, $front + count($left), $front, $front + count($right))];
        }
        if (count($left) * count($right) > self::MOST) {
            return self::divided($left, $right, $front);
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

    /**
     * @param  non-empty-list<string>  $old
     * @param  non-empty-list<string>  $new
     * @param  int  $at  where both begin in the lists that they are part of
     * @return list<self>
     */
    private static function divided(array $old, array $new, int $at): array
    {
        $anchors = self::anchors($old, $new);
        if ($anchors === []) {
            return [new self($at, $at + count($old), $at, $at + count($new))];
        }
        $found = [];
        [$from, $start] = [0, 0];
        foreach ([...$anchors, [count($old), count($new)]] as [$until, $end]) {
            $left = array_slice($old, $from, $until - $from);
            foreach (self::between($left, array_slice($new, $start, $end - $start)) as $one) {
                $found[] = new self(
                    $at + $from + $one->from,
                    $at + $from + $one->until,
                    $at + $start + $one->start,
                    $at + $start + $one->end,
                );
            }
            [$from, $start] = [$until + 1, $end + 1];
        }

        return $found;
    }

    /**
     * The longest row of what both lists have once, in the order of both.
     *
     * @param  list<string>  $old
     * @param  list<string>  $new
     * @return list<array{int, int}>
     */
    private static function anchors(array $old, array $new): array
    {
        [$here, $there] = [self::single($old), self::single($new)];
        $before = $ends = [];
        foreach (array_intersect_key($here, $there) as $key => $index) {
            $place = $there[$key];
            $length = 0;
            for ([$low, $high] = [0, count($ends)]; $low < $high;) {
                $middle = intdiv($low + $high, 2);
                [$low, $high] = $ends[$middle][1] < $place ? [$middle + 1, $high] : [$low, $middle];
                $length = $low;
            }
            $before[$index] = $ends[$length - 1] ?? null;
            $ends[$length] = [$index, $place];
        }
        $row = [];
        for ($one = end($ends) ?: null; $one !== null; $one = $before[$one[0]] ?? null) {
            $row[] = $one;
        }

        return array_reverse($row);
    }

    /**
     * @param  list<string>  $list
     * @return array<string, int> where each word is that the list has once
     */
    private static function single(array $list): array
    {
        $keys = array_map(fn (string $one) => "w $one", $list);
        $once = array_filter(array_count_values($keys), fn (int $times) => $times === 1);

        return array_intersect_key(array_flip($keys), $once);
    }
}
