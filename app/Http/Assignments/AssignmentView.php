<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Courses\ExtensionView;
use App\Http\Shared\BriefView;
use App\Http\Shared\StudentLine;
use App\Models\StudentsSee;
use OpenApi\Attributes as OA;

/** An assignment: its brief, what was handed in, and who has not. */
#[OA\Schema]
final readonly class AssignmentView
{
    /**
     * @param  list<HandInLine>  $handIns
     * @param  list<StudentLine>  $missing
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $summary,
        #[OA\Property]
        public ?string $dueAt,
        #[OA\Property(description: 'the same as the clock of the course shows it')]
        public ?string $due,
        #[OA\Property(description: 'of the course, of the IANA database')]
        public string $timeZone,
        #[OA\Property(description: 'of one student; null for any number')]
        public ?int $mostAttempts,
        #[OA\Property(description: 'whether students may hand in after the due time')]
        public bool $takesLate,
        #[OA\Property(description: 'of the check before the due time', enum: StudentsSee::class)]
        public StudentsSee $studentsSee,
        #[OA\Property(description: 'whether nothing is taken in any more')]
        public bool $closed,
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public string $course,
        #[OA\Property]
        public string $role,
        #[OA\Property]
        public ?BriefView $brief,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HandInLine::class))]
        public array $handIns,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentLine::class))]
        public array $missing,
        #[OA\Property(description: 'how far the check of the whole class is, while it is under way')]
        public ?Checking $checking,
        /** @var list<ExtensionView> */
        #[OA\Property(
            description: 'of students and groups; for markers alone',
            type: 'array',
            items: new OA\Items(ref: ExtensionView::class),
        )]
        public array $extensions,
        /** @var list<string> */
        #[OA\Property(description: 'of the roster', type: 'array', items: new OA\Items(type: 'string'))]
        public array $groups,
        /** @var list<StudentLine> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentLine::class))]
        public array $students,
    ) {
    }
}
