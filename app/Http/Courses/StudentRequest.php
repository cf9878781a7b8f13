<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Models\Course;
use App\Models\Student;
use Closure;
use Illuminate\Foundation\Http\FormRequest;

final class StudentRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:255'],
            'handle' => ['required', 'string', 'max:255', $this->isFree(...)],
            'email' => ['present', 'nullable', 'string', 'max:255', 'regex:/^[^@\s]+@[^@\s]+$/'],
            'group' => ['present', 'nullable', 'string', 'max:255'],
            'aside' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Type the student’s name. Nothing was changed.',
            'handle.required' => 'Type the student’s handle: their log-in or number. Nothing was changed.',
            'email.regex' => 'That is no e-mail address. Nothing was changed.',
            '*.max' => 'That is longer than 255 characters. Nothing was changed.',
        ];
    }

    /** @return array<string, mixed> as the roster keeps them */
    public function student(): array
    {
        return [
            'name' => $this->string('name')->trim()->toString(),
            'handle' => $this->string('handle')->trim()->toString(),
            'email' => $this->string('email')->trim()->toString(),
            'group' => $this->string('group')->trim()->toString(),
            'set_aside_at' => $this->boolean('aside') ? now() : null,
        ];
    }

    private function isFree(string $field, mixed $value, Closure $fail): void
    {
        $student = $this->route('student');
        $course = $this->route('course');
        $own = $student instanceof Student ? $student->id : null;
        $courseId = $student instanceof Student ? $student->course_id : ($course instanceof Course ? $course->id : '');
        $other = Student::query()->where('course_id', $courseId)
            ->whereRaw('lower(handle) = lower(?)', [is_string($value) ? trim($value) : ''])
            ->when($own !== null, fn ($query) => $query->whereKeyNot($own))
            ->first();
        if ($other !== null) {
            $fail("{$other->name} has this handle already. Nothing was changed.");
        }
    }
}
