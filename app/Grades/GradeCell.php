<?php

declare(strict_types=1);

namespace App\Grades;

use InkedMargin\Core\Grading\Result;
use InkedMargin\Core\Grading\ResultKind;
use OpenApi\Attributes as OA;

/** What a student has for one piece of work. */
#[OA\Schema]
final readonly class GradeCell
{
    public function __construct(
        #[OA\Property(enum: ResultKind::class)]
        public ResultKind $kind,
        #[OA\Property]
        public ?float $awarded,
        #[OA\Property]
        public ?float $possible,
        #[OA\Property]
        public ?string $handInId,
        #[OA\Property]
        public bool $isLate,
        #[OA\Property(description: 'whether the student has a reply with it')]
        public bool $isReplied,
        #[OA\Property(description: 'what the desk gives, where points were given here in place of them')]
        public ?float $worked,
        #[OA\Property(description: 'why points were given by hand, or the student is excused')]
        public ?string $reason,
        #[OA\Property(description: 'points that are not judged yet: as long as there are any, it is provisional')]
        public float $open,
        #[OA\Property(description: 'whether the student has a due time of their own, or need not be in time')]
        public bool $isExtended,
    ) {
    }

    public function result(): Result
    {
        return new Result($this->kind, $this->awarded, $this->possible);
    }
}
