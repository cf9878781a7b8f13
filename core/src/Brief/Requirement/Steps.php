<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Source\English;

/** Points by how many things are wrong: so many for none, fewer for up to two, and none beyond the last step. */
final readonly class Steps
{
    /** @param  non-empty-array<int, float>  $points  by the most that may be wrong, fewest first */
    private function __construct(public array $points)
    {
    }

    /** Reads the field `steps`; what is wrong with it is collected in `$fields`. Null when there are none. */
    public static function read(Fields $fields): ?self
    {
        $given = $fields->value('steps');
        if ($given === null) {
            return null;
        }
        $points = self::pointsIn(is_array($given) ? $given : []);
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

    /**
     * @param  array<mixed>  $given
     * @return array<int, float> points by how many things are wrong
     */
    private static function pointsIn(array $given): array
    {
        $points = [];
        foreach ($given as $wrong => $worth) {
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

        return $points;
    }

    /** @param  non-empty-array<int, float|int>  $points  as `$points` of another had them */
    public static function of(array $points): self
    {
        return new self(array_map(floatval(...), $points));
    }

    /** The same steps, with points in proportion to another sum. */
    public function scaledTo(float $most): self
    {
        $all = $this->most();

        return new self(array_map(
            fn (float $points) => $points === $all ? $most : round($points * $most / $all, 2),
            $this->points,
        ));
    }

    public function most(): float
    {
        return max($this->points);
    }

    /** The points where so many things are wrong. */
    public function at(int $wrong): float
    {
        foreach ($this->points as $most => $points) {
            if ($wrong <= $most) {
                return $points;
            }
        }

        return 0.0;
    }

    /** "10 points for none, 6 for up to 2, 0 beyond". */
    public function sentence(): string
    {
        $parts = [];
        foreach ($this->points as $most => $points) {
            $parts[] = match ($most) {
                0 => English::count($points, 'point').' for none',
                1 => "$points for 1",
                default => "$points for up to $most",
            };
        }

        return implode(', ', $parts).', 0 for more';
    }
}
