<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** A column of marks from elsewhere, and what keeping it would do. */
#[OA\Schema]
final readonly class ImportColumn
{
    /** @param  list<string>  $unreadable */
    public function __construct(
        #[OA\Property(description: 'its place in the file, from 0')]
        public int $at,
        #[OA\Property(description: 'what the work is called')]
        public string $title,
        #[OA\Property(description: 'points; null where the heading does not say, and nothing known is called so')]
        public ?float $possible,
        #[OA\Property(enum: ['assignment', 'elsewhere', 'new'], description: 'what it is held to be')]
        public string $is,
        #[OA\Property(description: 'students whose points would be others then')]
        public int $changes,
        #[OA\Property(description: 'students whose points stay as they are')]
        public int $same,
        #[OA\Property(
            description: 'what cannot be read, with its line',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $unreadable,
    ) {
    }
}
