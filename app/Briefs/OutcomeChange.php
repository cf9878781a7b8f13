<?php

declare(strict_types=1);

namespace App\Briefs;

/** A requirement that would come to something else under another brief. */
final readonly class OutcomeChange
{
    public function __construct(
        public string $title,
        /** null where it is not asked now */
        public ?string $before,
        /** null where it would not be asked any more */
        public ?string $after,
    ) {
    }
}
