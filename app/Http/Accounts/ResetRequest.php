<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\PasswordRule;
use App\Accounts\PersonRules;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;

final class ResetRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:200'],
            'token' => ['required', 'string', 'max:200'],
            'password' => PasswordRule::required([$this->userName()]),
        ];
    }

    private function userName(): ?string
    {
        $email = $this->input('email');

        return is_string($email) ? User::withEmail($email)?->name : null;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return PersonRules::MESSAGES;
    }
}
