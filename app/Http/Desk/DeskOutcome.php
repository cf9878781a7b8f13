<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Outcomes\OutcomeChoice;
use App\Outcomes\OutcomeShortfall;
use InkedMargin\Core\Marking\OutcomeKind;
use OpenApi\Attributes as OA;

/** A requirement, what it came to, and its points. */
#[OA\Schema]
final readonly class DeskOutcome
{
    /**
     * @param  list<OutcomeShortfall>  $shortfalls
     * @param  list<OutcomeChoice>  $choices
     */
    public function __construct(
        #[OA\Property]
        public string $requirement,
        #[OA\Property]
        public string $title,
        #[OA\Property(enum: OutcomeKind::class)]
        public OutcomeKind $outcome,
        #[OA\Property]
        public string $measured,
        #[OA\Property]
        public string $expected,
        #[OA\Property]
        public float $computed,
        #[OA\Property]
        public float $awarded,
        #[OA\Property]
        public float $possible,
        #[OA\Property(description: 'how they came about')]
        public string $how,
        #[OA\Property]
        public ?string $reason,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OutcomeShortfall::class))]
        public array $shortfalls,
        #[OA\Property(
            description: 'what a person may say of it, from the worst to the best',
            type: 'array',
            items: new OA\Items(ref: OutcomeChoice::class),
        )]
        public array $choices,
        #[OA\Property(description: 'whether nobody of the class is marked on it')]
        public bool $leftOut,
        #[OA\Property(description: 'whether the points by hand were given before a reason was rubbed out')]
        public bool $givenBefore,
    ) {
    }
}
