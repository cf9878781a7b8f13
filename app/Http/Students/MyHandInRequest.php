<?php

declare(strict_types=1);

namespace App\Http\Students;

use Illuminate\Foundation\Http\FormRequest;

final class MyHandInRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'packed' => ['required', 'boolean'],
            'note' => ['nullable', 'string', 'max:2000'],
            'address' => ['nullable', 'string', 'max:500', 'regex:~^[a-z][a-z0-9+.-]*:\S+$~i'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'note.max' => 'A note has 2,000 characters at most. Nothing was handed in.',
            'address.regex' => 'Type the whole address, such as `https://example.org/my-site/`. Nothing was handed in.',
            'address.max' => 'An address has 500 characters at most. Nothing was handed in.',
        ];
    }
}
