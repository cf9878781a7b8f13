<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\Margin;

/** How much of what was found on a leaf is decided. */
final readonly class LeafTally
{
    public function __construct(
        /** empty for the hand-in as a whole */
        public string $leaf,
        public int $pencilled,
        public int $inked,
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
