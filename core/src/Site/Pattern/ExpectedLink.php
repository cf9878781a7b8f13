<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

/** A link that a pattern asks for. */
final readonly class ExpectedLink
{
    /** @param  string|null  $to  null where any page that lies further on will do */
    public function __construct(public string $from, public ?string $to, public Direction $direction)
    {
    }
}
