<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** A sign that stands for itself, such as `/` or `,`. */
final readonly class Literal implements GrammarNode
{
    public function __construct(public string $sign)
    {
    }
}
