<?php

declare(strict_types=1);

namespace InkedMargin\Core\Grading;

/** A piece of work that is graded: an assignment, or work from elsewhere. */
final readonly class Piece
{
    /** @param  float  $weight  among the pieces of its part; 0 for one that does not count */
    public function __construct(public string $id, public string $title, public float $weight = 1.0)
    {
    }
}
