<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `[ … ]!`: a group of which at least one thing has to be there. */
final readonly class Required implements GrammarNode
{
    public function __construct(public GrammarNode $part)
    {
    }
}
