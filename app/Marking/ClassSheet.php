<?php

declare(strict_types=1);

namespace App\Marking;

/** All students of an assignment against all requirements, and the commonest slips beside it. */
final readonly class ClassSheet
{
    /**
     * @param  list<SheetRequirement>  $requirements
     * @param  list<ClassSheetRow>  $rows
     * @param  list<ClassSlip>  $slips  those of the most hand-ins first
     */
    public function __construct(
        public string $assignment,
        public string $course,
        public string $courseId,
        public array $requirements,
        public array $rows,
        public array $slips,
    ) {
    }
}
