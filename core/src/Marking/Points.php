<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

/** Points given of points that can be had. */
final readonly class Points
{
    /** @param  string  $how  how they came about, in words */
    public function __construct(public float $awarded, public float $possible, public string $how = '')
    {
    }
}
