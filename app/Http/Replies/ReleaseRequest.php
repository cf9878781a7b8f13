<?php

declare(strict_types=1);

namespace App\Http\Replies;

use Illuminate\Foundation\Http\FormRequest;

/** The replies of a class that are to be released together. */
final class ReleaseRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['handIns' => ['required', 'array', 'max:1000'], 'handIns.*' => ['uuid'], 'letters' => ['boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['handIns.*' => 'Choose the hand-ins whose replies are to be released. Nothing was released.'];
    }
}
