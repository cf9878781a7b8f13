<?php

declare(strict_types=1);

namespace App\Feedback;

use InkedMargin\Core\Finding\Weight;

/**
 * What one rule found in a hand-in, with a way to the first place that is still in pencil, or else the first of all.
 */
final readonly class DeskKind
{
    public function __construct(
        public string $rule,
        public Weight $weight,
        public int $findings,
        /** of these are in pencil */
        public int $pencilled,
        /** of the first */
        public string $leaf,
        public ?int $line,
        public string $fingerprint,
        public string $message,
    ) {
    }
}
