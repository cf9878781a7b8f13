<?php

declare(strict_types=1);

namespace App\Http\Sites;

use Illuminate\Foundation\Http\FormRequest;

/** Points at an element of a page, or at a line of it. */
final class LooksRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'leaf' => ['required', 'string', 'max:400'],
            'line' => ['nullable', 'integer', 'min:1', 'max:10000000'],
            'at' => ['nullable', 'string', 'max:4000', 'regex:/^\d{1,6}(?:\.\d{1,6})*$/'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['at.regex' => 'An element is named by places among its siblings, such as 1.0.2.'];
    }

    public function leaf(): string
    {
        return $this->string('leaf')->toString();
    }

    /** '' for the root */
    public function at(): string
    {
        return $this->string('at')->toString();
    }
}
