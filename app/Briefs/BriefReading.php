<?php

declare(strict_types=1);

namespace App\Briefs;

use OpenApi\Attributes as OA;

/** A brief that is being written, read and tried on a site. Nothing is kept. */
#[OA\Schema]
final readonly class BriefReading
{
    /**
     * @param  list<RequirementReading>  $requirements
     * @param  list<RequirementReading>  $proposed
     * @param  list<string>  $problems
     * @param  list<string>  $names
     */
    public function __construct(
        #[OA\Property(description: 'the brief as it was written', type: 'object', additionalProperties: true)]
        public object $document,
        #[OA\Property]
        public string $yaml,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RequirementReading::class))]
        public array $requirements,
        #[OA\Property(
            description: 'of `proposed`, which are no part of the brief yet',
            type: 'array',
            items: new OA\Items(ref: RequirementReading::class),
        )]
        public array $proposed,
        #[OA\Property(
            description: 'why it cannot be put in use; none where it can',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $problems,
        #[OA\Property]
        public float $points,
        #[OA\Property(description: 'of the site that it was tried on')]
        public ?float $awarded,
        #[OA\Property]
        public ?float $possible,
        #[OA\Property(description: 'points of it that wait for a person, or for what a site does not have')]
        public ?float $open,
        #[OA\Property(
            description: 'files, elements, classes and ids of that site, to choose from',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $names,
    ) {
    }
}
