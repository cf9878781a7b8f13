<?php

declare(strict_types=1);

namespace App\Marking;

use InkedMargin\Core\Finding\Weight;
use OpenApi\Attributes as OA;

/** What one rule found in a class. */
#[OA\Schema]
final readonly class ClassSlip
{
    /** @param  list<SlipPlace>  $places */
    public function __construct(
        #[OA\Property]
        public string $rule,
        #[OA\Property]
        public string $variant,
        #[OA\Property(enum: Weight::class)]
        public Weight $weight,
        #[OA\Property(description: 'of the first')]
        public string $message,
        #[OA\Property]
        public ?string $requirement,
        #[OA\Property]
        public int $findings,
        #[OA\Property]
        public int $pencilled,
        #[OA\Property(
            description: 'a line for each hand-in',
            type: 'array',
            items: new OA\Items(ref: SlipPlace::class),
        )]
        public array $places,
    ) {
    }
}
