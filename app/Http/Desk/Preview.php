<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** A note as it will be read. */
final readonly class Preview
{
    public function __construct(public string $html)
    {
    }
}
