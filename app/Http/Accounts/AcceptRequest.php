<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\PasswordRule;
use App\Accounts\PersonRules;
use App\Models\Invitation;
use Illuminate\Foundation\Http\FormRequest;

final class AcceptRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        // Whoever is logged in has an account.
        if ($this->user() !== null) {
            return ['name' => ['nullable', 'string'], 'password' => ['nullable', 'string']];
        }

        return [
            'name' => PersonRules::NAME,
            'password' => PasswordRule::required(fn () => [$this->email()]),
        ];
    }

    private function email(): ?string
    {
        $token = $this->route('token');

        return Invitation::of(is_string($token) ? $token : '')?->email;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return PersonRules::MESSAGES;
    }
}
