<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Outcomes\OutcomeChoice;
use OpenApi\Attributes as OA;

/** A requirement that people judge by eye, with the sites of a class. */
#[OA\Schema]
final readonly class Judging
{
    /**
     * @param  list<OutcomeChoice>  $choices
     * @param  list<JudgingLine>  $handIns
     */
    public function __construct(
        #[OA\Property]
        public string $assignment,
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public string $course,
        #[OA\Property]
        public string $requirement,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'what is asked, as a sentence')]
        public string $question,
        #[OA\Property]
        public float $possible,
        #[OA\Property(
            description: 'from the worst to the best',
            type: 'array',
            items: new OA\Items(ref: OutcomeChoice::class),
        )]
        public array $choices,
        #[OA\Property(description: 'by name', type: 'array', items: new OA\Items(ref: JudgingLine::class))]
        public array $handIns,
    ) {
    }
}
