<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use Illuminate\Foundation\Http\FormRequest;

final class BriefRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['source' => ['required', 'string', 'max:200000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'source.required' => 'The brief is empty. The one in force stays.',
            'source.max' => 'The brief is longer than 200,000 characters. The one in force stays.',
        ];
    }
}
