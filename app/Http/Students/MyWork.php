<?php

declare(strict_types=1);

namespace App\Http\Students;

use OpenApi\Attributes as OA;

/** A piece of set work, in the list of a student. */
#[OA\Schema]
final readonly class MyWork
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $dueAt,
        #[OA\Property]
        public bool $closed,
        #[OA\Property]
        public int $attempts,
        #[OA\Property(description: 'whether a reply was released')]
        public bool $replied,
    ) {
    }
}
