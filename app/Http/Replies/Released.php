<?php

declare(strict_types=1);

namespace App\Http\Replies;

use OpenApi\Attributes as OA;

/** How many replies were released. */
#[OA\Schema]
final readonly class Released
{
    /** @param  list<string>  $withoutAddress */
    public function __construct(
        #[OA\Property]
        public int $released,
        #[OA\Property(description: 'so many letters are on their way')]
        public int $letters,
        #[OA\Property(
            description: 'names of students who would have had one',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $withoutAddress,
    ) {
    }
}
