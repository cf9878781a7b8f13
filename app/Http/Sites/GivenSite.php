<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Checks\PencilledFinding;
use OpenApi\Attributes as OA;

/** A site that nobody handed in: what an assignment gives, or an example. */
#[OA\Schema]
final readonly class GivenSite
{
    /**
     * @param  list<Leaf>  $leaves
     * @param  list<PencilledFinding>  $findings
     */
    public function __construct(
        #[OA\Property(description: 'such as "the model answer"')]
        public string $name,
        #[OA\Property]
        public string $assignment,
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public string $course,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Leaf::class))]
        public array $leaves,
        #[OA\Property(
            description: 'what a check without a brief says of it',
            type: 'array',
            items: new OA\Items(ref: PencilledFinding::class),
        )]
        public array $findings,
    ) {
    }
}
