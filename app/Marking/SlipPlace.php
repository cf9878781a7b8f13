<?php

declare(strict_types=1);

namespace App\Marking;

/** Where a slip is in one hand-in: the first place of it. */
final readonly class SlipPlace
{
    public function __construct(
        public string $handInId,
        public string $student,
        public int $findings,
        /** of these are in pencil */
        public int $pencilled,
        public string $leaf,
        public ?int $line,
        public string $fingerprint,
    ) {
    }
}
