<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** A course's work side by side: its students down, its assignments and work from elsewhere across. */
#[OA\Schema]
final readonly class Gradebook
{
    /**
     * @param  list<GradePartView>  $parts
     * @param  list<GradeColumn>  $columns
     * @param  list<GradeRow>  $rows
     */
    public function __construct(
        #[OA\Property]
        public string $course,
        #[OA\Property(description: 'one at least', type: 'array', items: new OA\Items(ref: GradePartView::class))]
        public array $parts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GradeColumn::class))]
        public array $columns,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GradeRow::class))]
        public array $rows,
    ) {
    }
}
