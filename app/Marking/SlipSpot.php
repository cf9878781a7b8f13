<?php

declare(strict_types=1);

namespace App\Marking;

use App\Feedback\QuotedLine;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;

/** One place of a slip, with what is written there. */
final readonly class SlipSpot
{
    /**
     * @param  list<QuotedLine>  $lines
     * @param  'pencilled'|'inked'|'rubbed-out'  $state
     */
    public function __construct(
        public string $handInId,
        public string $student,
        public string $leaf,
        public ?int $line,
        public string $fingerprint,
        public string $state,
        public ProofMark $mark,
        public Weight $weight,
        public string $message,
        public string $remedy,
        public array $lines,
    ) {
    }
}
