<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `name( … )`, with what its brackets hold. */
final readonly class FunctionCall implements Node
{
    /** @param  string  $name  lower-cased */
    public function __construct(public string $name, public Node $inside)
    {
    }
}
