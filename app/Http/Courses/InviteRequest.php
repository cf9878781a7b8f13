<?php

declare(strict_types=1);

namespace App\Http\Courses;

use Illuminate\Foundation\Http\FormRequest;

final class InviteRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email:strict', 'max:200'],
            'role' => ['required', 'in:instructor,marker'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.required' => 'Type the e-mail address of whom you want to ask.',
            'email.email' => 'That is no e-mail address.',
        ];
    }
}
