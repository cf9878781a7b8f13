<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `a && b`: all of them in any order; `a || b`: one or more of them in any order. */
final readonly class InAnyOrder implements GrammarNode
{
    /** @param  list<GrammarNode>  $parts */
    public function __construct(public array $parts, public bool $all)
    {
    }
}
