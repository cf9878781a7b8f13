<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** An element or text where the content model does not have it, and why, in words that can follow a colon. */
final readonly class Misplaced
{
    public function __construct(public Element|Text $node, public string $reason)
    {
    }
}
