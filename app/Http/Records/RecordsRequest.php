<?php

declare(strict_types=1);

namespace App\Http\Records;

use Illuminate\Foundation\Http\FormRequest;

/** Records of a course that are brought in. */
final class RecordsRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.config()->integer('margin.upload_kilobytes')]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose the zip of a course. Nothing was changed.',
            'file.*' => 'The file is larger than can be sent here, or did not arrive whole. Whoever runs this '
                .'installation '
                .'brings it in with bin/artisan records:import. Nothing was changed.',
        ];
    }
}
