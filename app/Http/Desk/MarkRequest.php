<?php

declare(strict_types=1);

namespace App\Http\Desk;

use Illuminate\Foundation\Http\FormRequest;

final class MarkRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'points' => ['required', 'numeric', 'min:0', 'max:100000'],
            'reason' => ['required', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'points.*' => 'Points are a number of 0 or more. The points stay as they were.',
            'reason.required' => 'Say why the points differ; the student reads it. The points stay as they were.',
        ];
    }
}
