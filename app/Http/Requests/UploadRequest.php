<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use InkedMargin\Core\Source\Utf8;
use OpenApi\Attributes as OA;

/** The beginning of a file that comes in parts. */
#[OA\Schema(required: ['name', 'bytes'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'bytes', type: 'integer'),
])]
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
            'bytes.max' => "The file is larger than $most MB. Make the pictures smaller, or leave out what does not belong to the site. Nothing was sent.",
        ];
    }

    /** The name that the file came with, without folders, as long as the database keeps. */
    public function fileName(): string
    {
        $name = basename(str_replace('\\', '/', Utf8::scrub($this->string('name')->toString())));

        return mb_strlen($name) <= 255 ? $name : '…'.mb_substr($name, -254);
    }
}
