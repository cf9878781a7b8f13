<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Intake\FileName;
use Illuminate\Foundation\Http\FormRequest;

/** The beginning of a file that comes in parts. */
final class UploadRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:2000'],
            'bytes' => ['required', 'integer', 'min:1', 'max:'.(1024 * config()->integer('margin.upload_kilobytes'))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $most = intdiv(config()->integer('margin.upload_kilobytes'), 1024);

        return [
            'bytes.min' => 'The file is empty. Nothing was sent.',
            'bytes.max' => "The file is larger than $most MB. Make the pictures smaller, or leave out what does not "
                .'belong to the site. Nothing was sent.',
        ];
    }

    public function fileName(): string
    {
        return FileName::kept($this->string('name')->toString());
    }
}
