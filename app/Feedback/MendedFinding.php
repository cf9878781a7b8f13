<?php

declare(strict_types=1);

namespace App\Feedback;

use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use OpenApi\Attributes as OA;

/** What the check still says, or says now, of a mended copy. */
#[OA\Schema]
final readonly class MendedFinding
{
    /** @param  list<TextEdit>  $edits */
    public function __construct(
        #[OA\Property]
        public string $fingerprint,
        #[OA\Property]
        public string $rule,
        #[OA\Property]
        public string $variant,
        #[OA\Property(enum: Weight::class)]
        public Weight $weight,
        #[OA\Property(enum: ProofMark::class)]
        public ProofMark $mark,
        #[OA\Property]
        public int $line,
        #[OA\Property(description: 'in UTF-16 code units, as is the next')]
        public int $from,
        #[OA\Property]
        public int $to,
        #[OA\Property]
        public string $message,
        #[OA\Property]
        public string $remedy,
        #[OA\Property(description: 'whether it came with the mending')]
        public bool $fresh,
        #[OA\Property(
            description: 'what mends it, where that is exact, and in this file alone; none otherwise',
            type: 'array',
            items: new OA\Items(ref: TextEdit::class),
        )]
        public array $edits,
    ) {
    }
}
