<?php

declare(strict_types=1);

namespace App\Briefs;

/** A site that a brief can be tried on. */
final readonly class TrialSite
{
    public function __construct(
        public string $key,
        public string $name,
    ) {
    }
}
