<?php

declare(strict_types=1);

namespace App\Checks;

/** How far a check is: so many steps of so many. */
final readonly class Progress
{
    public function __construct(public int $done, public int $steps)
    {
    }
}
