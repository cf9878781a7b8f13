<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\Margin;
use OpenApi\Attributes as OA;

/** How much of what was found on a leaf is decided. */
#[OA\Schema]
final readonly class LeafTally
{
    public function __construct(
        #[OA\Property(description: 'empty for the hand-in as a whole')]
        public string $leaf,
        #[OA\Property]
        public int $pencilled,
        #[OA\Property]
        public int $inked,
        #[OA\Property]
        public int $rubbedOut,
    ) {
    }

    /** @return list<self> */
    public static function list(Margin $margin): array
    {
        $tallies = $margin->tallies();

        return array_map(
            fn (int|string $leaf, array $one) => new self(
                (string) $leaf,
                $one['pencilled'] ?? 0,
                $one['inked'] ?? 0,
                $one['rubbed-out'] ?? 0,
            ),
            array_keys($tallies),
            $tallies,
        );
    }
}
