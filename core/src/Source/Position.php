<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/**
 * A place in a file as people and as machines name it: 1-based line, 1-based column in code points, 0-based byte
 * offset.
 */
final readonly class Position
{
    public function __construct(public int $line, public int $column, public int $offset)
    {
    }
}
