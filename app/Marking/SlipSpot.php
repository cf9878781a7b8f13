<?php

declare(strict_types=1);

namespace App\Marking;

use App\Feedback\QuotedLine;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use OpenApi\Attributes as OA;

/** One place of a slip, with what is written there. */
#[OA\Schema]
final readonly class SlipSpot
{
    /** @param  list<QuotedLine>  $lines */
    public function __construct(
        #[OA\Property]
        public string $handInId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $leaf,
        #[OA\Property]
        public ?int $line,
        #[OA\Property]
        public string $fingerprint,
        #[OA\Property(enum: ['pencilled', 'inked', 'rubbed-out'])]
        public string $state,
        #[OA\Property(enum: ProofMark::class)]
        public ProofMark $mark,
        #[OA\Property(enum: Weight::class)]
        public Weight $weight,
        #[OA\Property]
        public string $message,
        #[OA\Property]
        public string $remedy,
        #[OA\Property(
            description: 'none where the whole file is meant, or it is no text',
            type: 'array',
            items: new OA\Items(ref: QuotedLine::class),
        )]
        public array $lines,
    ) {
    }
}
