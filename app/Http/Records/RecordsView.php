<?php

declare(strict_types=1);

namespace App\Http\Records;

use App\Records\RecordsState;

/** How far records are that somebody asked for. */
final readonly class RecordsView
{
    /** @param  value-of<RecordsState>|null  $state  null where nobody has asked */
    public function __construct(
        public ?string $state,
        /** hand-ins that are written */
        public int $done,
        public int $of,
    ) {
    }
}
