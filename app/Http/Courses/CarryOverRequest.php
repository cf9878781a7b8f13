<?php

declare(strict_types=1);

namespace App\Http\Courses;

use Illuminate\Foundation\Http\FormRequest;

final class CarryOverRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:200'],
            'term' => ['present', 'nullable', 'string', 'max:200'],
            'weeks' => ['required', 'integer', 'between:-520,520'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Type what the new course is called.',
            'weeks.required' => 'Type by how many weeks due times are moved; 0 leaves them.',
            'weeks.integer' => 'Weeks are whole numbers.',
            'weeks.between' => 'Due times are moved by 520 weeks at most.',
        ];
    }
}
