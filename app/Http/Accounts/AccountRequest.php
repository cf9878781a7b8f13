<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\PasswordRule;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(
        property: 'time_zone',
        description: 'of the IANA database; null for that of the browser; as it was when left out',
        type: 'string',
        nullable: true,
    ),
    new OA\Property(property: 'current', description: 'the password as it is; needed for another one', type: 'string'),
    new OA\Property(property: 'password', description: 'another password; empty to keep it', type: 'string'),
])]
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
