<?php

declare(strict_types=1);

namespace App\Http\Shared;

/** How many of the files that were sent have arrived. */
final readonly class Taken
{
    public function __construct(public int $taken)
    {
    }
}
