<?php

declare(strict_types=1);

namespace App\Briefs;

use App\Outcomes\OutcomeShortfall;
use InkedMargin\Core\Marking\OutcomeKind;
use OpenApi\Attributes as OA;

/** A requirement of a brief that is being written: as a sentence, and what it comes to on the site it is tried on. */
#[OA\Schema]
final readonly class RequirementReading
{
    /**
     * @param  list<string>  $problems
     * @param  list<OutcomeShortfall>  $shortfalls
     */
    public function __construct(
        #[OA\Property(description: 'null where it cannot be read')]
        public ?string $sentence,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $problems,
        #[OA\Property]
        public float $points,
        #[OA\Property(enum: OutcomeKind::class, nullable: true)]
        public ?OutcomeKind $outcome,
        #[OA\Property]
        public string $measured,
        #[OA\Property]
        public string $expected,
        #[OA\Property]
        public float $awarded,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OutcomeShortfall::class))]
        public array $shortfalls,
    ) {
    }
}
