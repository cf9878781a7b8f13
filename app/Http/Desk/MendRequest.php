<?php

declare(strict_types=1);

namespace App\Http\Desk;

use Illuminate\Foundation\Http\FormRequest;

/** The text of a mended copy: to be checked, or to be kept. */
final class MendRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'text' => ['present', 'nullable', 'string', 'max:2000000'],
            'words' => ['nullable', 'string', 'max:200'],
            'after' => ['nullable', 'integer', 'min:0', 'max:1000000'],
        ];
    }

    public function text(): string
    {
        return str_replace(["\r\n", "\r"], "\n", $this->string('text')->toString());
    }

    /** What was done, in a few words. */
    public function words(): string
    {
        return $this->filled('words') ? $this->string('words')->toString() : 'typed';
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.max' => 'A mended copy has 2,000,000 characters at most. Nothing was kept; what you typed is '
            .'still here.'];
    }
}
