<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use Illuminate\Foundation\Http\FormRequest;

/** Why nobody of a class is marked on a requirement. */
final class LeaveOutRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['reason' => ['required', 'string', 'max:500']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.*' => 'Write a reason of up to 500 characters. Nothing was changed.'];
    }
}
