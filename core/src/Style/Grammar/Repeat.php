<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `a?`, `a*`, `a+`, `a{2,4}`, and with commas between them `a#`. */
final readonly class Repeat implements GrammarNode
{
    public function __construct(public GrammarNode $part, public int $least, public int $most, public bool $commas)
    {
    }
}
