<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\WallClock;
use App\Models\Assignment;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** More time for a student or a group, lateness that does not count, or an excuse. */
final class ExtensionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'student' => [
                'nullable', 'uuid', 'required_without:group',
                Rule::exists('students', 'id')->where('course_id', $this->assignment()->course_id),
            ],
            'group' => ['nullable', 'string', 'max:100', 'required_without:student', 'prohibits:student'],
            'due' => ['nullable', 'string', 'max:40', $this->isTime(...)],
            'waived' => ['sometimes', 'boolean'],
            'excused' => ['sometimes', 'boolean'],
            'reason' => ['required', 'string', 'max:500'],
        ];
    }

    /** @return list<Closure> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if (! $this->filled('due') && ! $this->boolean('waived') && ! $this->boolean('excused')) {
                $validator->errors()->add('due', 'Set a new due time, waive lateness, or excuse the student.');
            }
            if ($this->boolean('excused') && ! $this->filled('student')) {
                $validator->errors()->add('excused', 'Choose one student to excuse.');
            }
        }];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'student.*' => 'Choose a student of this course, or a group. Nothing was changed.',
            'group.*' => 'Choose a student or a group, not both. Nothing was changed.',
            'reason.required' => 'Write a reason. Only markers see it.',
            'reason.max' => 'A reason has 500 characters at most. Nothing was changed.',
        ];
    }

    public function due(): ?CarbonImmutable
    {
        return $this->filled('due') ? $this->clock()->read($this->string('due')->toString())?->utc() : null;
    }

    private function isTime(string $field, mixed $value, Closure $fail): void
    {
        $problem = is_string($value) && $value !== '' ? $this->clock()->problem($value) : null;
        if ($problem !== null) {
            $fail($problem);
        }
    }

    private function clock(): WallClock
    {
        return new WallClock($this->assignment()->course->time_zone);
    }

    private function assignment(): Assignment
    {
        $assignment = $this->route('assignment');
        abort_unless($assignment instanceof Assignment, 404);

        return $assignment;
    }
}
