<?php

declare(strict_types=1);

namespace App\Sites;

/** How much of a quota is used. Sizes in bytes. */
final readonly class SpaceUse
{
    public function __construct(public int $used, public int $quota)
    {
    }

    public function left(): int
    {
        return max(0, $this->quota - $this->used);
    }
}
