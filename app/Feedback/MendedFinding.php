<?php

declare(strict_types=1);

namespace App\Feedback;

use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;

/** What the check still says, or says now, of a mended copy. */
final readonly class MendedFinding
{
    /** @param  list<TextEdit>  $edits */
    public function __construct(
        public string $fingerprint,
        public string $rule,
        public string $variant,
        public Weight $weight,
        public ProofMark $mark,
        public int $line,
        /** in UTF-16 code units, as is the next */
        public int $from,
        public int $to,
        public string $message,
        public string $remedy,
        /** whether it came with the mending */
        public bool $fresh,
        public array $edits,
    ) {
    }
}
