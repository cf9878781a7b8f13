<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** What a requirement comes to once it is known which of its losses count. */
final readonly class Worked
{
    /**
     * @param  float  $share  the share that is met, 0 to 1
     * @param  float  $points  to the hundredth
     * @param  list<float>  $costs  points, one for each loss, in their order; they add up to what was lost
     * @param  string  $how  how the points came about, in words
     */
    public function __construct(public float $share, public float $points, public array $costs, public string $how)
    {
    }
}
