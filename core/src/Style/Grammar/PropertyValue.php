<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** `<'color'>`: what the property of that name may hold. */
final readonly class PropertyValue implements GrammarNode
{
    public function __construct(public string $name)
    {
    }
}
