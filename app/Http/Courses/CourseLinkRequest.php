<?php

declare(strict_types=1);

namespace App\Http\Courses;

use Illuminate\Foundation\Http\FormRequest;

final class CourseLinkRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['word' => ['nullable', 'string', 'min:4', 'max:100']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['word.min' => 'A word has 4 characters or more.', 'word.max' => 'A word has 100 characters at most.'];
    }
}
