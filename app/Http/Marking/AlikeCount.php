<?php

declare(strict_types=1);

namespace App\Http\Marking;

/** How many findings of a kind are in pencil, and in how many hand-ins. */
final readonly class AlikeCount
{
    public function __construct(public int $findings, public int $handIns)
    {
    }
}
