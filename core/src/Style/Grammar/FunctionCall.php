<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `name( … )`, with what its brackets hold. */
final readonly class FunctionCall implements GrammarNode
{
    /** @param  string  $name  lower-cased */
    public function __construct(public string $name, public GrammarNode $inside)
    {
    }
}
