<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Courses\ExtensionView;
use App\Http\Shared\BriefView;
use App\Http\Shared\StudentLine;
use App\Models\StudentsSee;

/** An assignment: its brief, what was handed in, and who has not. */
final readonly class AssignmentView
{
    /**
     * @param  list<HandInLine>  $handIns
     * @param  list<StudentLine>  $missing
     * @param  list<ExtensionView>  $extensions  of students and groups; for markers alone
     * @param  list<string>  $groups  of the roster
     * @param  list<StudentLine>  $students
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $summary,
        public ?string $dueAt,
        /** the same as the clock of the course shows it */
        public ?string $due,
        /** of the course, of the IANA database */
        public string $timeZone,
        /** of one student; null for any number */
        public ?int $mostAttempts,
        /** whether students may hand in after the due time */
        public bool $takesLate,
        /** of the check before the due time */
        public StudentsSee $studentsSee,
        /** whether nothing is taken in any more */
        public bool $closed,
        public string $courseId,
        public string $course,
        public string $role,
        public ?BriefView $brief,
        public array $handIns,
        public array $missing,
        /** how far the check of the whole class is, while it is under way */
        public ?Checking $checking,
        /** @var list<ExtensionView> */
        public array $extensions,
        /** @var list<string> */
        public array $groups,
        /** @var list<StudentLine> */
        public array $students,
    ) {
    }
}
