<?php

declare(strict_types=1);

namespace App\Grades;

use App\Models\Assignment;
use App\Models\Grade;
use App\Models\OtherWork;
use App\Models\Student;

/** A piece of work of a course, of which something can be said by hand. */
final readonly class WorkOfCourse
{
    private function __construct(private string $column, public string $id)
    {
    }

    /** @return self|null null where the course has no such piece of work */
    public static function find(string $course, string $id): ?self
    {
        return match (true) {
            Assignment::query()->where('course_id', $course)->whereKey($id)->exists() => self::assignment($id),
            OtherWork::query()->where('course_id', $course)->whereKey($id)->exists() => self::elsewhere($id),
            default => null,
        };
    }

    public static function assignment(string $id): self
    {
        return new self('assignment_id', $id);
    }

    public static function elsewhere(string $id): self
    {
        return new self('other_work_id', $id);
    }

    /** @param  float|null  $points  null: the student is excused */
    public function grade(Student $student, ?float $points, string $reason, string $user): void
    {
        Grade::query()->updateOrCreate(
            ['student_id' => $student->id, $this->column => $this->id],
            ['points' => $points, 'reason' => $reason, 'user_id' => $user],
        );
    }

    /** Leaves it to what the desk gives. */
    public function forget(Student $student): void
    {
        Grade::query()->where('student_id', $student->id)->where($this->column, $this->id)->delete();
    }
}
