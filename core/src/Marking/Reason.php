<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Requirement\Shortfall;

/** Why a requirement lost points, or would have: a shortfall with what it costs and the finding that shows it. */
final readonly class Reason
{
    /**
     * @param  float  $cost  points, 0 where it costs nothing
     * @param  string|null  $finding  the fingerprint of the finding that shows it; null where none does
     * @param  string|null  $follows  id of the requirement where the same slip costs points; null where it costs here
     */
    public function __construct(
        public Shortfall $shortfall,
        public float $cost,
        public ?string $finding,
        public ?string $follows = null,
    ) {
    }
}
