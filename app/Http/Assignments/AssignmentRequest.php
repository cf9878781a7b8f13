<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Courses\WallClock;
use App\Models\Assignment;
use App\Models\Course;
use App\Models\StudentsSee;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class AssignmentRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:200', $this->isFree(...)],
            'summary' => ['present', 'nullable', 'string', 'max:5000'],
            'most_attempts' => ['nullable', 'integer', 'min:1', 'max:99'],
            'takes_late' => ['sometimes', 'boolean'],
            'students_see' => ['sometimes', 'required', Rule::enum(StudentsSee::class)],
            'due' => ['present', 'nullable', 'string', 'max:40', $this->isTime(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Type what the assignment is called.',
            'title.max' => 'A title has 200 characters at most. Nothing was changed.',
            'most_attempts.*' => 'Type a number of attempts from 1 to 99, or leave it empty for any number. Nothing '
                .'was changed.',
            'students_see.*' => 'Choose what students see before the due time. Nothing was changed.',
            'summary.max' => 'The words for the students have 5,000 characters at most. Nothing was changed.',
        ];
    }

    /** @return array<string, mixed> as the assignment keeps them */
    public function assignment(): array
    {
        $due = $this->string('due')->toString();

        return [
            'title' => $this->string('title')->trim()->toString(),
            'summary' => $this->string('summary')->trim()->toString(),
            'due_at' => $due === '' ? null : $this->clock()->read($due)?->utc(),
            ...$this->has('most_attempts')
                ? ['most_attempts' => $this->filled('most_attempts') ? $this->integer('most_attempts') : null]
                : [],
            ...$this->has('takes_late') ? ['takes_late' => $this->boolean('takes_late')] : [],
            ...$this->has('students_see') ? ['students_see' => $this->enum('students_see', StudentsSee::class)] : [],
        ];
    }

    private function isTime(string $field, mixed $value, Closure $fail): void
    {
        $problem = is_string($value) ? $this->clock()->problem($value) : null;
        if ($problem !== null) {
            $fail($problem);
        }
    }

    private function isFree(string $field, mixed $value, Closure $fail): void
    {
        $assignment = $this->route('assignment');
        $own = $assignment instanceof Assignment ? $assignment->id : null;
        $isTaken = Assignment::query()->where('course_id', $this->course()->id)
            ->where('title', is_string($value) ? trim($value) : '')
            ->when($own !== null, fn ($query) => $query->whereKeyNot($own))
            ->exists();
        if ($isTaken) {
            $fail('The course has an assignment of that title already. Nothing was changed.');
        }
    }

    private function clock(): WallClock
    {
        return new WallClock($this->course()->time_zone);
    }

    private function course(): Course
    {
        $course = $this->route('course');
        $assignment = $this->route('assignment');
        if ($course instanceof Course) {
            return $course;
        }
        abort_unless($assignment instanceof Assignment, 404);

        return $assignment->course()->firstOrFail();
    }
}
