<?php

declare(strict_types=1);

namespace App\Http\Briefs;

/** A requirement to begin from, in the words of those who ask for it. */
final readonly class ReadyMadeView
{
    /** @param  array<string, mixed>  $values */
    public function __construct(
        public string $words,
        /** other words that find it */
        public string $also,
        public array $values,
    ) {
    }
}
