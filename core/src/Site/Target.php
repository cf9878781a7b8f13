<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** Where a reference leads: the verdict, and the path inside the site that it names (also when nothing is there). */
final readonly class Target
{
    public function __construct(public Verdict $verdict, public ?string $path = null, public ?string $spelling = null)
    {
    }
}
