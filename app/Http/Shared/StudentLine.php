<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Models\Student;
use Illuminate\Support\Collection;
use OpenApi\Attributes as OA;

/** Someone on the roster. */
#[OA\Schema]
final readonly class StudentLine
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $handle,
    ) {
    }

    public static function of(Student $student): self
    {
        return new self($student->id, $student->name, $student->handle);
    }

    /**
     * @param  Collection<int, Student>  $students
     * @return list<self>
     */
    public static function list(Collection $students): array
    {
        return array_values($students->map(self::of(...))->all());
    }
}
