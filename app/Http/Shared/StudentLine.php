<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Models\Student;
use Illuminate\Support\Collection;

/** Someone on the roster. */
final readonly class StudentLine
{
    public function __construct(
        public string $id,
        public string $name,
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
