<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `a | b`: one of them. */
final readonly class OneOf implements GrammarNode
{
    /** @param  list<GrammarNode>  $parts */
    public function __construct(public array $parts)
    {
    }
}
