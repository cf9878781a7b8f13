<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Outcomes\OutcomeChoice;

/** A requirement that people judge by eye, with the sites of a class. */
final readonly class Judging
{
    /**
     * @param  list<OutcomeChoice>  $choices  from the worst to the best
     * @param  list<JudgingLine>  $handIns  by name
     */
    public function __construct(
        public string $assignment,
        public string $courseId,
        public string $course,
        public string $requirement,
        public string $title,
        /** what is asked, as a sentence */
        public string $question,
        public float $possible,
        public array $choices,
        public array $handIns,
    ) {
    }
}
