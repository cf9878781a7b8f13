<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/** Points by how many things are wrong: so many for none, fewer for up to two, and none beyond the last step. */
final readonly class Steps
{
    /** @param  non-empty-array<int, float>  $points  by the most that may be wrong, fewest first */
    private function __construct(private array $points)
    {
    }

    /** Reads the field `steps`; what is wrong with it is collected in `$fields`. Null when there are none. */
    public static function read(Fields $fields): ?self
    {
        $given = $fields->value('steps');
        if ($given === null) {
            return null;
        }
        $points = [];
        foreach (is_array($given) ? $given : [] as $wrong => $worth) {
            if (
                is_int($wrong)
                && $wrong >= 0
                && (is_int($worth) || is_float($worth))
                && $worth >= 0
                && $worth <= 10_000
            ) {
                $points[$wrong] = (float) $worth;
            }
        }
        ksort($points);
        $falling = array_values($points);
        rsort($falling);
        $isSound = is_array($given)
            && count($points) === count($given)
            && isset($points[0])
            && $falling === array_values($points);
        if (! $isSound) {
            $fields->problem(
                'steps',
                'points by how many things are wrong, fewer for more, from 0 on, were expected, such as {0: 10, 2: 6}',
            );

            return null;
        }

        return new self($points);
    }

    public function most(): float
    {
        return max($this->points);
    }

    public function of(int $wrong): float
    {
        foreach ($this->points as $most => $points) {
            if ($wrong <= $most) {
                return $points;
            }
        }

        return 0.0;
    }

    /** "10 if none is wrong, 6 if up to 2 are, 0 beyond". */
    public function sentence(): string
    {
        $parts = [];
        foreach ($this->points as $most => $points) {
            $parts[] = match ($most) {
                0 => "$points if nothing is wrong",
                1 => "$points if 1 thing is",
                default => "$points if up to $most things are",
            };
        }

        return implode(', ', $parts).', 0 beyond';
    }
}
