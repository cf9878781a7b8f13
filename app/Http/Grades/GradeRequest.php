<?php

declare(strict_types=1);

namespace App\Http\Grades;

use Illuminate\Foundation\Http\FormRequest;

/** Points that a student is given by hand for a piece of work, or that it does not count. */
final class GradeRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'points' => ['present', 'nullable', 'numeric', 'min:0', 'max:100000'],
            'reason' => ['required', 'string', 'max:2000'],
        ];
    }

    /** @return array{points: float|null, reason: string} */
    public function grade(): array
    {
        return [
            'points' => $this->input('points') === null ? null : round($this->float('points'), 2),
            'reason' => $this->string('reason')->toString(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'points.*' => 'Points are a number from 0 to 100,000. Nothing was changed.',
            'reason.required' => 'Say why: whoever asks about this number reads it. Nothing was changed.',
            'reason.max' => 'A reason has 2,000 characters at most. Nothing was changed.',
        ];
    }
}
