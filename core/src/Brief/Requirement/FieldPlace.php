<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** Where a field stands in the source of a brief: its line, and its column in code points, both from 0. */
final readonly class FieldPlace
{
    public function __construct(public int $line, public int $column)
    {
    }
}
