<?php

declare(strict_types=1);

namespace App\Http\Intake;

use Illuminate\Foundation\Http\FormRequest;

final class ArrivalsRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'files' => ['required', 'array', 'max:60'],
            'drop' => ['nullable', 'uuid'],
            'packed' => ['nullable', 'array', 'max:60'],
            'packed.*' => ['boolean'],
            'files.*' => ['file', 'max:'.config()->integer('margin.upload_kilobytes')],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'files.required' => 'No file came with it. Drop one or several zips.',
            'files.max' => 'At most 60 files at a time. None was taken; drop fewer.',
            'files.*.file' => 'One of the files did not arrive whole. None was taken; drop them again.',
            'files.*.uploaded' => 'One of the files is larger than this server takes. None was taken.',
            'files.*.max' => 'One of the files is larger than '.intdiv(
                config()->integer('margin.upload_kilobytes'),
                1024,
            ).' MB. None was taken.',
        ];
    }
}
