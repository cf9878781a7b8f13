<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** One after the other. */
final readonly class Sequence implements Node
{
    /** @param  list<Node>  $parts */
    public function __construct(public array $parts)
    {
    }
}
