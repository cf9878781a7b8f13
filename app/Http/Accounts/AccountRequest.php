<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\PasswordRule;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class AccountRequest extends FormRequest
{
    public const NOT_THEIRS = 'That is not your password. Nothing was changed.';

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'time_zone' => ['nullable', 'string', 'timezone:all'],
            'current' => [
                'bail', 'required_with:password', 'nullable', 'string', 'max:200',
                Rule::when($this->filled('password'), 'current_password'),
            ],
            'password' => ['nullable', 'string', 'max:200', new PasswordRule([$this->email()])],
        ];
    }

    private function email(): ?string
    {
        $user = $this->user();

        return $user instanceof User ? $user->email : null;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Type your name.',
            'time_zone.timezone' => 'There is no such time zone. Nothing was changed.',
            'current.current_password' => self::NOT_THEIRS,
            'current.required_with' => 'Enter your current password too.',
        ];
    }
}
