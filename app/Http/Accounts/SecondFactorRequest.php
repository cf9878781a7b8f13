<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use Illuminate\Foundation\Http\FormRequest;

/** Whoever changes how somebody logs in knows their password. */
final class SecondFactorRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['current' => ['bail', 'required', 'string', 'max:200', 'current_password']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'current.required' => 'Enter your password.',
            'current.current_password' => AccountRequest::NOT_THEIRS,
        ];
    }
}
