<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** Everything that a student's grade in a course is made of: each number with its sum. */
#[OA\Schema]
final readonly class StudentGrades
{
    /**
     * @param  list<GradeSum>  $sums
     * @param  list<PartSum>  $parts
     */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'one for each column', type: 'array', items: new OA\Items(ref: GradeSum::class))]
        public array $sums,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartSum::class))]
        public array $parts,
        #[OA\Property]
        public ?float $percent,
        #[OA\Property(description: 'how the parts come together')]
        public string $how,
    ) {
    }
}
