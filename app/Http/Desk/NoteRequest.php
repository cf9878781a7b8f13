<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Models\RemarkKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class NoteRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'body' => ['required', 'string', 'max:20000'],
            'kind' => ['required', Rule::in(array_column(RemarkKind::WRITTEN, 'value'))],
            'file' => ['nullable', 'string', 'max:400', 'required_with:line', 'prohibited_if:kind,opening,closing'],
            'line' => ['nullable', 'integer', 'min:1', 'max:10000000'],
            'endLine' => ['nullable', 'integer', 'gte:line', 'max:10000000'],
            'id' => ['nullable', 'uuid'],
            'version' => ['nullable', 'integer', 'min:1', 'max:2000000000'],
        ];
    }

    /**
     * @return array{body: string, kind: RemarkKind, file: string|null, line: int|null, endLine: int|null,
     *     id: string|null}
     */
    public function written(): array
    {
        return [
            'body' => $this->string('body')->toString(),
            'kind' => $this->kind(),
            'file' => $this->filled('file') ? $this->string('file')->toString() : null,
            'line' => $this->filled('line') ? $this->integer('line') : null,
            'endLine' => $this->filled('line') && $this->integer('endLine') > $this->integer('line')
                ? $this->integer('endLine')
                : null,
            'id' => $this->filled('id') ? $this->string('id')->toString() : null,
        ];
    }

    public function kind(): RemarkKind
    {
        return RemarkKind::from($this->string('kind')->toString());
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'body.required' => 'The note is empty. Nothing was changed.',
            'endLine.gte' => 'The last line is before the first. Nothing was changed.',
            'kind.*' => 'A note says what to do, asks, praises, or opens or closes the reply. Nothing was changed.',
            'file.prohibited_if' => 'The opening and closing words are about the whole hand-in. Nothing was changed.',
            'body.max' => 'The note is longer than 20,000 characters. Nothing was changed.',
        ];
    }
}
