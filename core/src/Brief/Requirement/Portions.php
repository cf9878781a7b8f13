<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** Shares points out in equal steps, so that the parts add up to them exactly. */
final readonly class Portions
{
    /**
     * By the largest remainders. Whatever weighs something gets one step at least, as long as there are enough.
     * Common practice.
     *
     * @param  float  $points  0 or more; rounded to the step
     * @param  list<float>  $weights  0 or more each
     * @param  float  $step  the smallest part, in points
     * @return list<float> one for each weight; their sum is `$points`, where any weight is above 0
     */
    public static function of(float $points, array $weights, float $step = 0.01): array
    {
        $whole = array_sum($weights);
        if ($whole <= 0.0) {
            return array_map(fn () => 0.0, $weights);
        }
        $left = $all = (int) round($points / $step);
        $parts = $rests = [];
        foreach ($weights as $at => $weight) {
            $exact = $all * $weight / $whole;
            // A whole number but for the error of its binary form counts as one.
            $parts[$at] = (int) floor($exact + 1e-9);
            $rests[$at] = $exact - $parts[$at];
            $left -= $parts[$at];
        }
        arsort($rests);
        foreach (array_slice(array_keys($rests), 0, max(0, $left)) as $at) {
            $parts[$at]++;
        }

        return array_map(fn (int $part) => round($part * $step, 2), array_values(self::withoutZeros($parts, $weights)));
    }

    /**
     * @param  array<int, int>  $parts
     * @param  list<float>  $weights
     * @return array<int, int>
     */
    private static function withoutZeros(array $parts, array $weights): array
    {
        $empty = array_filter(array_keys($parts), fn (int $at) => $parts[$at] === 0 && $weights[$at] > 0.0);
        $weighing = count(array_filter($weights));
        if ($empty === [] || array_sum($parts) < $weighing) {
            return $parts;
        }
        $rich = array_filter($parts, fn (int $part) => $part > 1);
        arsort($rich);
        $giver = array_key_first($rich);
        foreach ($empty as $at) {
            while ($giver !== null && $parts[$giver] < 2) {
                unset($rich[$giver]);
                $giver = array_key_first($rich);
            }
            if ($giver === null) {
                break;
            }
            $parts[$giver]--;
            $parts[$at]++;
        }

        return $parts;
    }
}
