<?php

declare(strict_types=1);

namespace App\Courses;

use OpenApi\Attributes as OA;

/** More time for a student or a group, lateness that does not count, or an excuse: for markers, not for students. */
#[OA\Schema]
final readonly class ExtensionView
{
    public function __construct(
        #[OA\Property(description: 'null where there is none of the student’s own')]
        public ?string $id,
        #[OA\Property(description: 'null for a whole group')]
        public ?string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $handle,
        #[OA\Property(description: 'the group that it is for; null where it is for one student')]
        public ?string $group,
        #[OA\Property(description: 'null where the due time is that of the class')]
        public ?string $dueAt,
        #[OA\Property(description: 'the same as the clock of the course shows it')]
        public ?string $due,
        #[OA\Property(description: 'whether being late costs nothing')]
        public bool $waived,
        #[OA\Property(description: 'whether the work does not count for the student')]
        public bool $excused,
        #[OA\Property(description: 'which only markers see')]
        public string $reason,
    ) {
    }
}
