<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\Margin;
use OpenApi\Attributes as OA;

/** What was found on one leaf. */
#[OA\Schema]
final readonly class LeafFindings
{
    /** @param  list<DeskFinding>  $findings */
    public function __construct(
        #[OA\Property]
        public string $leaf,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DeskFinding::class))]
        public array $findings,
    ) {
    }

    public static function of(Margin $margin, string $leaf): self
    {
        return new self($leaf, DeskFinding::on($margin, $leaf));
    }
}
