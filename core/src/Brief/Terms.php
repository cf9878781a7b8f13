<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/** What every requirement has, whatever its kind. */
final readonly class Terms
{
    /** @param  string|null  $weight `fault`, `departure` or `tidy` for what fails here; null for the rule's own */
    public function __construct(
        public string $id,
        public string $title,
        public PageScope $pages,
        public float $points = 0.0,
        public Credit $credit = Credit::Share,
        public ?string $weight = null,
        public ?string $message = null,
    ) {
    }
}
