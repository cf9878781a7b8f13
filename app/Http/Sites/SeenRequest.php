<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Sites\SeenToken;
use Illuminate\Foundation\Http\FormRequest;

/** How a page is to be seen: with its scripts or without, in its own styles, in none, or in another sheet. */
final class SeenRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'scripts' => ['nullable', 'boolean'],
            'styles' => ['nullable', 'string', 'max:400', 'regex:/^(?:own|none|(?:sheet|given):.+)$/u'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['styles.regex' => 'Styles are `own`, `none`, or `sheet:` or `given:` and the path of a stylesheet.'];
    }

    public function styles(): string
    {
        return $this->filled('styles') ? $this->string('styles')->toString() : SeenToken::OWN;
    }
}
