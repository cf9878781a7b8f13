<?php

declare(strict_types=1);

namespace App\Http\Desk;

use Illuminate\Foundation\Http\FormRequest;

final class VerdictRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'state' => ['required', 'in:pencilled,inked,rubbed-out'],
            'reason' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** Why it is rubbed out; null when nothing was said. */
    public function reason(): ?string
    {
        return $this->filled('reason') ? $this->string('reason')->toString() : null;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['state.*' => 'A finding is pencilled, inked or rubbed-out.'];
    }
}
