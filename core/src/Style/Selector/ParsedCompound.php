<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

/** A compound selector as it was read, and the pseudo-element behind it. */
final readonly class ParsedCompound
{
    public function __construct(public Compound $compound, public ?string $pseudoElement)
    {
    }
}
