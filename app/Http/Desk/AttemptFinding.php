<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Models\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;

/** A finding of one attempt or of two. */
final readonly class AttemptFinding
{
    private function __construct(
        public string $fingerprint,
        public string $rule,
        public Weight $weight,
        public ProofMark $mark,
        public string $file,
        /** null where it is about the whole file */
        public ?int $line,
        public string $message,
    ) {
    }

    public static function of(Finding $finding): self
    {
        return new self(
            $finding->fingerprint,
            $finding->rule,
            $finding->weight,
            $finding->mark,
            $finding->file,
            $finding->place()['line'],
            $finding->message,
        );
    }
}
