<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `a | b`: one of them. */
final readonly class OneOf implements Node
{
    /** @param  list<Node>  $parts */
    public function __construct(public array $parts)
    {
    }
}
