<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\Margin;

/** What was found on one leaf. */
final readonly class LeafFindings
{
    /** @param  list<DeskFinding>  $findings */
    public function __construct(
        public string $leaf,
        public array $findings,
    ) {
    }

    public static function of(Margin $margin, string $leaf): self
    {
        return new self($leaf, DeskFinding::on($margin, $leaf));
    }
}
