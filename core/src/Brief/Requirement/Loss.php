<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** What one shortfall takes from one of the things that a requirement counts. */
final readonly class Loss
{
    /**
     * @param  string  $item  which of them, such as the path of a page
     * @param  float  $share  how much of it, above 0 and at most 1
     * @param  bool  $counts  false where it costs nothing: it was rubbed out, or follows from what costs elsewhere
     */
    public function __construct(public string $item, public float $share, public bool $counts = true)
    {
    }
}
