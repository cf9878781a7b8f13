<?php

declare(strict_types=1);

namespace App\Http\Replies;

/** Words that a reply may begin and end with, for the instructor to change. */
final readonly class OfferedWords
{
    public function __construct(public string $opening, public string $closing)
    {
    }
}
