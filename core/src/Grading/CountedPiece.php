<?php

declare(strict_types=1);

namespace InkedMargin\Core\Grading;

/** A piece of work in the sum of its part. */
final readonly class CountedPiece
{
    /**
     * @param  float|null  $share  null where it does not count
     * @param  bool  $counts  whether it is part of the sum
     * @param  string  $why  it is not; '' where it is
     */
    public function __construct(public Piece $piece, public ?float $share, public bool $counts, public string $why)
    {
    }
}
