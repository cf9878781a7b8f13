<?php

declare(strict_types=1);

namespace App\Http\Intake;

use Illuminate\Foundation\Http\FormRequest;

/** Addresses of published sites, as they are pasted. */
final class AddressesRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['text' => ['required', 'string', 'max:200000'], 'drop' => ['required', 'uuid']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required' => 'Paste a line for each site: the student’s name or handle, and the address.',
            'text.max' => 'That is more than 200,000 characters. Nothing was taken; paste fewer lines.',
        ];
    }
}
