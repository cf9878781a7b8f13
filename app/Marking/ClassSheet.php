<?php

declare(strict_types=1);

namespace App\Marking;

use OpenApi\Attributes as OA;

/** All students of an assignment against all requirements, and the commonest slips beside it. */
#[OA\Schema]
final readonly class ClassSheet
{
    /**
     * @param  list<SheetRequirement>  $requirements
     * @param  list<ClassSheetRow>  $rows
     * @param  list<ClassSlip>  $slips
     */
    public function __construct(
        #[OA\Property]
        public string $assignment,
        #[OA\Property]
        public string $course,
        #[OA\Property]
        public string $courseId,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SheetRequirement::class))]
        public array $requirements,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClassSheetRow::class))]
        public array $rows,
        #[OA\Property(
            description: 'those of the most hand-ins first',
            type: 'array',
            items: new OA\Items(ref: ClassSlip::class),
        )]
        public array $slips,
    ) {
    }
}
