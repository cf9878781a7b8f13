<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** How many letters are on their way, and who has no address. */
#[OA\Schema]
final readonly class LettersSent
{
    /** @param  list<string>  $without */
    public function __construct(
        #[OA\Property]
        public int $sent,
        #[OA\Property(
            description: 'names of students without an e-mail address',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $without,
    ) {
    }
}
