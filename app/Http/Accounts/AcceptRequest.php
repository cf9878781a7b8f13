<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\PasswordRule;
use App\Accounts\PersonRules;
use App\Models\Invitation;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
])]
final class AcceptRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        // Whoever is logged in has an account.
        if ($this->user() !== null) {
            return ['name' => ['nullable', 'string'], 'password' => ['nullable', 'string']];
        }
        $token = $this->route('token');
        $about = Invitation::of(is_string($token) ? $token : '')?->email;

        return [
            'name' => PersonRules::NAME,
            'password' => PasswordRule::required([$about]),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return PersonRules::MESSAGES;
    }
}
