<?php

declare(strict_types=1);

namespace App\Http\Courses;

use Illuminate\Foundation\Http\FormRequest;

final class CourseRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:200'],
            'school' => ['present', 'nullable', 'string', 'max:200'],
            'term' => ['present', 'nullable', 'string', 'max:200'],
            'timeZone' => ['required', 'string', 'timezone:all'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Type what the course is called.',
            '*.max' => 'Names have 200 characters at most. Nothing was changed.',
            'timeZone.timezone' => 'There is no such time zone.',
        ];
    }

    /** @return array{title: string, school: string, term: string, time_zone: string} as the course keeps them */
    public function course(): array
    {
        return [
            'title' => $this->string('title')->trim()->toString(),
            'school' => $this->string('school')->trim()->toString(),
            'term' => $this->string('term')->trim()->toString(),
            'time_zone' => $this->string('timeZone')->toString(),
        ];
    }
}
