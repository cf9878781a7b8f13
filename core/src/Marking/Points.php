<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

/** Points given of points that can be had. */
final readonly class Points
{
    public function __construct(public float $awarded, public float $possible)
    {
    }

    /** @param  iterable<Points>  $all */
    public static function sum(iterable $all): self
    {
        $awarded = $possible = 0.0;
        foreach ($all as $points) {
            $awarded += $points->awarded;
            $possible += $points->possible;
        }

        return new self(round($awarded, 2), round($possible, 2));
    }
}
