<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

/** What is there most often among several values, and how often. */
final readonly class Commonest
{
    public function __construct(public string $value, public int $count)
    {
    }
}
