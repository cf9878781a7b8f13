<?php

declare(strict_types=1);

namespace App\Grades\Term;

use OpenApi\Attributes as OA;

/** How a class, and one of its students, came along over the assignments of a course. */
#[OA\Schema]
final readonly class Term
{
    /**
     * @param  list<TermWork>  $work
     * @param  list<TermKind>  $kinds
     * @param  list<TermStudent>  $students
     */
    public function __construct(
        #[OA\Property]
        public string $course,
        #[OA\Property(
            description: 'in the order of the course',
            type: 'array',
            items: new OA\Items(ref: TermWork::class),
        )]
        public array $work,
        #[OA\Property(description: 'the commonest first', type: 'array', items: new OA\Items(ref: TermKind::class))]
        public array $kinds,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TermStudent::class))]
        public array $students,
    ) {
    }
}
