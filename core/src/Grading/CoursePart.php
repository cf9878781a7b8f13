<?php

declare(strict_types=1);

namespace InkedMargin\Core\Grading;

/** A part of a course, such as its exercises or its project. */
final readonly class CoursePart
{
    /**
     * @param  float  $weight  among the parts of the course
     * @param  int|null  $best  how many of the best pieces count; null for all of them
     * @param  list<Piece>  $pieces
     */
    public function __construct(public string $title, public float $weight, public ?int $best, public array $pieces)
    {
    }
}
