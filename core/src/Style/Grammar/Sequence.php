<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** One after the other. */
final readonly class Sequence implements GrammarNode
{
    /** @param  list<GrammarNode>  $parts */
    public function __construct(public array $parts)
    {
    }
}
