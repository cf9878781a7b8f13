<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Course;
use App\Models\HandIn;
use App\Models\Student;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Str;

/** Of what records are taken: a whole course, or one student of it. */
final readonly class Scope
{
    private function __construct(public Course $course, public ?Student $student)
    {
    }

    public static function course(Course $course): self
    {
        return new self($course, null);
    }

    public static function student(Student $student): self
    {
        return new self($student->course()->firstOrFail(), $student);
    }

    /** By which what is made of it is known. */
    public function key(): string
    {
        return 'records-'.($this->student->id ?? $this->course->id);
    }

    /** What the file is called, without its ending. */
    public function name(): string
    {
        $title = Str::slug($this->course->title) ?: 'course';

        return "records-$title".($this->student === null ? '' : '-'.(Str::slug($this->student->handle) ?: 'student'));
    }

    /** @return array<string, string|null> what a query names, as `Tables` does */
    public function named(string $sql): array
    {
        return array_filter(
            ['course' => $this->course->id, 'student' => $this->student?->id],
            fn (string $name) => preg_match("/:$name\\b/", $sql) === 1,
            ARRAY_FILTER_USE_KEY,
        );
    }

    /** @return Builder<HandIn> in an order that is always the same */
    public function handIns(): Builder
    {
        return HandIn::query()
            ->whereIn('assignment_id', $this->course->assignments()->reorder()->select('id'))
            ->when($this->student !== null, fn (Builder $query) => $query->where('student_id', $this->student?->id))
            ->with(['student', 'assignment'])->orderBy('assignment_id')->orderBy('student_id')->orderBy('attempt');
    }
}
