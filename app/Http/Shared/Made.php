<?php

declare(strict_types=1);

namespace App\Http\Shared;

/** Something that was made, by its id. */
final readonly class Made
{
    public function __construct(public string $id)
    {
    }
}
