<?php

declare(strict_types=1);

namespace App\Http\Marking;

use OpenApi\Attributes as OA;

/** One student's site, to be judged by eye. */
#[OA\Schema]
final readonly class JudgingLine
{
    /** @param  list<string>  $pages */
    public function __construct(
        #[OA\Property]
        public string $handInId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $handle,
        #[OA\Property]
        public int $attempt,
        #[OA\Property(description: 'where its pages are seen, from another host and without scripts')]
        public string $seenAt,
        #[OA\Property(
            description: 'paths, the home page first',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $pages,
        #[OA\Property(description: 'points given so far; null where nobody has judged it')]
        public ?float $points,
        #[OA\Property]
        public ?string $reason,
    ) {
    }
}
