<?php

declare(strict_types=1);

namespace App\Tables;

/** One line of what a spreadsheet gave. */
final readonly class RosterRow
{
    /**
     * @param  int  $line  1 for the first
     * @param  list<string>  $cells
     */
    public function __construct(public int $line, public array $cells)
    {
    }
}
