<?php

declare(strict_types=1);

namespace App\Http\Courses;

use Illuminate\Foundation\Http\FormRequest;

final class JoinRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['handle' => ['required', 'string', 'max:100'], 'word' => ['nullable', 'string', 'max:100']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['handle.required' => 'Type your handle: the log-in or number that your school knows you by.'];
    }
}
