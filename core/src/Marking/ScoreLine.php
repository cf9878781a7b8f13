<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

/** One line of a sum: what it is for, what it brings or takes, and how that came about. */
final readonly class ScoreLine
{
    /**
     * @param  string|null  $requirement  its id, where the line is that of one
     * @param  float|null  $possible  null for a line that only takes, or rounds
     */
    public function __construct(
        public string $title,
        public float $points,
        public string $how,
        public ?string $requirement = null,
        public ?float $possible = null,
    ) {
    }
}
