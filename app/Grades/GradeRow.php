<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** A student in a gradebook. */
#[OA\Schema]
final readonly class GradeRow
{
    /**
     * @param  list<GradeCell>  $cells
     * @param  list<float|null>  $parts
     */
    public function __construct(
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $handle,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public string $group,
        #[OA\Property(description: 'one for each column', type: 'array', items: new OA\Items(ref: GradeCell::class))]
        public array $cells,
        #[OA\Property(
            description: 'percent in each part; null where nothing counts yet',
            type: 'array',
            items: new OA\Items(type: 'number', nullable: true),
        )]
        public array $parts,
        #[OA\Property(description: 'in the course; null where nothing counts yet')]
        public ?float $percent,
    ) {
    }
}
