<?php

declare(strict_types=1);

namespace App\Grades;

/** The sum behind the points for one piece of work, as the desk has it. */
final readonly class GradeSum
{
    /** @param  list<GradeSumLine>  $lines */
    public function __construct(
        public string $workId,
        public array $lines,
    ) {
    }
}
