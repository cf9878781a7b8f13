<?php

declare(strict_types=1);

namespace App\Http\Search;

/** A way in which a rule is not kept, and how it should be. */
final readonly class RuleExample
{
    public function __construct(
        /** '' for a rule that can fail in one way only */
        public string $variant,
        /** what a brief asks for here; null where none has to */
        public ?string $asked,
        public string $bad,
        public string $good,
        /** what the check says */
        public string $says,
    ) {
    }
}
