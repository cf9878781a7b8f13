<?php

declare(strict_types=1);

namespace App\Grades\Term;

use OpenApi\Attributes as OA;

/** An assignment in a course of time: percent of what could be had. */
#[OA\Schema]
final readonly class TermWork
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'hand-ins with points')]
        public int $handIns,
        #[OA\Property(description: 'a quarter of the class has less; null where nobody has points')]
        public ?float $low,
        #[OA\Property(description: 'the median of the class')]
        public ?float $middle,
        #[OA\Property(description: 'a quarter of the class has more')]
        public ?float $high,
        #[OA\Property(description: 'of the student who was asked for; null where there is none')]
        public ?float $own,
    ) {
    }
}
