<?php

declare(strict_types=1);

namespace App\Grades;

use InkedMargin\Core\Grading\Result;
use InkedMargin\Core\Grading\ResultKind;

/** What a student has for one piece of work. */
final readonly class GradeCell
{
    public function __construct(
        public ResultKind $kind,
        public ?float $awarded,
        public ?float $possible,
        public ?string $handInId,
        public bool $isLate,
        /** whether the student has a reply with it */
        public bool $isReplied,
        /** what the desk gives, where points were given here in place of them */
        public ?float $worked,
        /** why points were given by hand, or the student is excused */
        public ?string $reason,
        /** points that are not judged yet: as long as there are any, it is provisional */
        public float $open,
        /** whether the student has a due time of their own, or need not be in time */
        public bool $isExtended,
    ) {
    }

    public function result(): Result
    {
        return new Result($this->kind, $this->awarded, $this->possible);
    }
}
