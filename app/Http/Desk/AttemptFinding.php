<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Models\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use OpenApi\Attributes as OA;

/** A finding of one attempt or of two. */
#[OA\Schema]
final readonly class AttemptFinding
{
    private function __construct(
        #[OA\Property]
        public string $fingerprint,
        #[OA\Property]
        public string $rule,
        #[OA\Property(enum: Weight::class)]
        public Weight $weight,
        #[OA\Property(enum: ProofMark::class)]
        public ProofMark $mark,
        #[OA\Property]
        public string $file,
        #[OA\Property(description: 'null where it is about the whole file')]
        public ?int $line,
        #[OA\Property]
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
