<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['body', 'merit'], properties: [
    new OA\Property(property: 'body', type: 'string'),
    new OA\Property(property: 'merit', type: 'boolean'),
    new OA\Property(property: 'file', type: 'string', nullable: true),
    new OA\Property(property: 'line', type: 'integer', nullable: true),
    new OA\Property(property: 'version', type: 'integer', description: 'of the note that is changed', nullable: true),
])]
final class NoteRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'body' => ['required', 'string', 'max:20000'],
            'merit' => ['required', 'boolean'],
            'file' => ['nullable', 'string', 'max:400', 'required_with:line'],
            'line' => ['nullable', 'integer', 'min:1', 'max:10000000'],
            'version' => ['nullable', 'integer', 'min:1', 'max:2000000000'],
        ];
    }

    /** @return array{body: string, merit: bool, file: string|null, line: int|null} */
    public function written(): array
    {
        return [
            'body' => $this->string('body')->toString(),
            'merit' => $this->boolean('merit'),
            'file' => $this->filled('file') ? $this->string('file')->toString() : null,
            'line' => $this->filled('line') ? $this->integer('line') : null,
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'body.required' => 'The note is empty. Nothing was changed.',
            'body.max' => 'The note is longer than 20,000 characters. Nothing was changed.',
        ];
    }
}
