<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `( … )`, `[ … ]` or `{ … }` as signs of the value itself. */
final readonly class Block implements GrammarNode
{
    public function __construct(public string $open, public GrammarNode $inside)
    {
    }
}
