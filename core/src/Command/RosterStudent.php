<?php

declare(strict_types=1);

namespace InkedMargin\Core\Command;

/** A student of the roster that is given on the command line. */
final readonly class RosterStudent
{
    public function __construct(public string $handle, public string $name)
    {
    }
}
