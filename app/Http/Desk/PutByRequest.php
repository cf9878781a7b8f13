<?php

declare(strict_types=1);

namespace App\Http\Desk;

use Illuminate\Foundation\Http\FormRequest;

/** Why a hand-in has to wait. */
final class PutByRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['why' => ['required', 'string', 'max:400']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'why.required' => 'Say in a word why it waits. It was not put by.',
            'why.max' => 'A reason has 400 characters at most. It was not put by.',
        ];
    }
}
