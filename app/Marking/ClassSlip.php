<?php

declare(strict_types=1);

namespace App\Marking;

use InkedMargin\Core\Finding\Weight;

/** What one rule found in a class. */
final readonly class ClassSlip
{
    /** @param  list<SlipPlace>  $places */
    public function __construct(
        public string $rule,
        public string $variant,
        public Weight $weight,
        /** of the first */
        public string $message,
        public ?string $requirement,
        public int $findings,
        public int $pencilled,
        public array $places,
    ) {
    }
}
