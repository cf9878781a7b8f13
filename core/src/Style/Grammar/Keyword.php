<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** A word that stands for itself, in any letter case. */
final readonly class Keyword implements GrammarNode
{
    /** @param  string  $word  lower-cased */
    public function __construct(public string $word)
    {
    }
}
