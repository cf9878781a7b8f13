<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['email', 'password'], properties: [
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
    new OA\Property(
        property: 'code',
        description: 'from the authenticator app, or a recovery code; where it is needed, the answer to the first '
            .'try says so under this name',
        type: 'string',
        nullable: true,
    ),
])]
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
