<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** The sum behind what a student has in one part of a course. */
#[OA\Schema]
final readonly class PartSum
{
    /** @param  list<CountedWork>  $pieces */
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public float $weight,
        #[OA\Property]
        public ?float $percent,
        #[OA\Property]
        public string $how,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CountedWork::class))]
        public array $pieces,
    ) {
    }
}
