<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\Rosters\RosterColumn;
use App\Http\Shared\StudentLine;

/** What a roster would change, before anything is kept. */
final readonly class RosterPreview
{
    /**
     * @param  list<RosterColumn>  $columns  what each column holds
     * @param  list<string>  $samples  the first cell of each column, or its heading
     * @param  list<RosterLine>  $lines
     * @param  list<StudentLine>  $gone  who takes part now and is on no line
     */
    public function __construct(
        /** as it was read: what is sent again to keep it */
        public string $text,
        public array $columns,
        public array $samples,
        /** whether the first line names the columns */
        public bool $heading,
        public array $lines,
        public array $gone,
    ) {
    }
}
