<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Accounts\PasswordRule;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
])]
final class FirstRunRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'email' => ['required', 'string', 'email:strict', 'max:200'],
            'password' => PasswordRule::required(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Type your name, as your students know you.',
            'email.required' => 'Type the e-mail address that you want to log in with.',
            'email.email' => 'Enter a valid e-mail address.',
            'password.required' => 'Choose a password.',
        ];
    }
}
