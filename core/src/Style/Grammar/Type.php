<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `<length>`, or what a type of that name is made of; with the range that its numbers have to be in. */
final readonly class Type implements GrammarNode
{
    /** @param  string  $name  with `()` behind it for that of a function */
    public function __construct(public string $name, public float $least = -INF, public float $most = INF)
    {
    }
}
