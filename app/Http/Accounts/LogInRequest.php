<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use Illuminate\Foundation\Http\FormRequest;

final class LogInRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:200'],
            'password' => ['required', 'string', 'max:200'],
            'code' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.required' => 'Type the e-mail address you log in with.',
            'password.required' => 'Type your password.',
        ];
    }
}
