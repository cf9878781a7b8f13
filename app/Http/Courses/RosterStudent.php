<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Models\Student;

/** Someone who is or was on a course, with all that the roster knows. */
final readonly class RosterStudent
{
    /** @param  list<StudentExtension>  $extensions  for markers alone */
    public function __construct(
        public string $id,
        public string $name,
        public string $handle,
        public string $email,
        public string $group,
        /** whether they left */
        public bool $aside,
        /** @var list<StudentExtension> */
        public array $extensions = [],
    ) {
    }

    /** @param  list<StudentExtension>  $extensions */
    public static function of(Student $student, array $extensions = []): self
    {
        return new self(
            $student->id,
            $student->name,
            $student->handle,
            $student->email,
            $student->group,
            $student->set_aside_at !== null,
            $extensions,
        );
    }
}
