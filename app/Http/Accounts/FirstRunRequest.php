<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\PasswordRule;
use App\Accounts\PersonRules;
use Illuminate\Foundation\Http\FormRequest;

final class FirstRunRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => PersonRules::NAME,
            'email' => PersonRules::EMAIL,
            'password' => PasswordRule::required(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return PersonRules::MESSAGES;
    }
}
