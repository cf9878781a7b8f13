<?php

declare(strict_types=1);

namespace App\Http\Intake;

use Illuminate\Foundation\Http\FormRequest;

final class MatchRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['student' => ['required', 'uuid']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['student.*' => 'Choose the student whose hand-in this is.'];
    }
}
