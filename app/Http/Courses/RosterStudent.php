<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Models\Student;
use OpenApi\Attributes as OA;

/** Someone who is or was on a course, with all that the roster knows. */
#[OA\Schema]
final readonly class RosterStudent
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $handle,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public string $group,
        #[OA\Property(description: 'whether they left')]
        public bool $aside,
        /** @var list<StudentExtension> */
        #[OA\Property(
            description: 'for markers alone',
            type: 'array',
            items: new OA\Items(ref: StudentExtension::class),
        )]
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
