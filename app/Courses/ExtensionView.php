<?php

declare(strict_types=1);

namespace App\Courses;

/** More time for a student or a group, lateness that does not count, or an excuse: for markers, not for students. */
final readonly class ExtensionView
{
    public function __construct(
        /** null where there is none of the student’s own */
        public ?string $id,
        /** null for a whole group */
        public ?string $studentId,
        public string $name,
        public string $handle,
        /** the group that it is for; null where it is for one student */
        public ?string $group,
        /** null where the due time is that of the class */
        public ?string $dueAt,
        /** the same as the clock of the course shows it */
        public ?string $due,
        /** whether being late costs nothing */
        public bool $waived,
        /** whether the work does not count for the student */
        public bool $excused,
        /** which only markers see */
        public string $reason,
    ) {
    }
}
