<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\Finding;

/** Where something is in a file: lines and columns from 1, columns in code points. */
final readonly class Place
{
    /**
     * @param  int|null  $column  null where whole lines are meant
     * @param  int|null  $endColumn  of the first character that is not meant any more
     */
    public function __construct(
        public int $line,
        public int $endLine,
        public ?int $column = null,
        public ?int $endColumn = null,
    ) {
    }

    public static function of(Finding $finding): self
    {
        return new self($finding->start_line, $finding->end_line, $finding->start_column, $finding->end_column);
    }
}
