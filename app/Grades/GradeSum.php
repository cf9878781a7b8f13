<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** The sum behind the points for one piece of work, as the desk has it. */
#[OA\Schema]
final readonly class GradeSum
{
    /** @param  list<GradeSumLine>  $lines */
    public function __construct(
        #[OA\Property]
        public string $workId,
        #[OA\Property(
            description: 'none where nothing was checked',
            type: 'array',
            items: new OA\Items(ref: GradeSumLine::class),
        )]
        public array $lines,
    ) {
    }
}
