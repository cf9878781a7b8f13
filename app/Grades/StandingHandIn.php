<?php

declare(strict_types=1);

namespace App\Grades;

use InkedMargin\Core\Marking\Score;

/** The hand-in of a student that counts, with its points. */
final readonly class StandingHandIn
{
    /** @param  Score|null  $score  null while nothing has been checked */
    public function __construct(
        public string $id,
        public string $student,
        public string $assignment,
        public bool $isLate,
        public bool $isPutBy,
        public bool $isReplied,
        public ?Score $score,
    ) {
    }
}
