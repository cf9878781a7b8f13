<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use Illuminate\Foundation\Http\FormRequest;

final class CodeRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['code' => ['required', 'string', 'max:40']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['code.required' => 'Enter the six digits that the app shows.'];
    }
}
