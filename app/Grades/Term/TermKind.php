<?php

declare(strict_types=1);

namespace App\Grades\Term;

use OpenApi\Attributes as OA;

/** A slip over the assignments. */
#[OA\Schema]
final readonly class TermKind
{
    /**
     * @param  list<float|null>  $shares
     * @param  list<int>  $own
     */
    public function __construct(
        #[OA\Property]
        public string $rule,
        #[OA\Property(
            description: 'percent of the hand-ins that have it, for each assignment; null where nothing was checked',
            type: 'array',
            items: new OA\Items(type: 'number', nullable: true),
        )]
        public array $shares,
        #[OA\Property(
            description: 'how often the student who was asked for has it in each; none where nobody was asked for',
            type: 'array',
            items: new OA\Items(type: 'integer'),
        )]
        public array $own,
    ) {
    }
}
