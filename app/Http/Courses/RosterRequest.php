<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\Rosters\RosterColumn;
use App\Courses\Rosters\RosterColumns;
use App\Courses\Rosters\RosterPlan;
use App\Tables\RosterText;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** A roster as text or as a file, and what its columns hold where somebody said so. */
final class RosterRequest extends FormRequest
{
    private const MAX_BYTES = 2_000_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'text' => ['required_without:file', 'string', 'max:'.self::MAX_BYTES],
            'file' => ['required_without:text', 'file', 'max:'.intdiv(self::MAX_BYTES, 1_000)],
            'columns' => ['nullable', 'array', 'max:60'],
            'columns.*' => [Rule::enum(RosterColumn::class)],
            'heading' => ['nullable', 'boolean'],
            'setAside' => ['nullable', 'array', 'max:'.RosterPlan::MAX_LINES],
            'setAside.*' => ['uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required_without' => 'Paste the roster, or drop a file. Nothing was changed.',
            '*.max' => 'A roster has 2 MB at most. Nothing was changed.',
            'file.uploaded' => 'The file did not arrive whole. Nothing was changed.',
        ];
    }

    public function text(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile
            ? RosterText::decode((string) file_get_contents($file->getPathname()))
            : $this->string('text')->toString();
    }

    /** @throws ValidationException where there is nothing to read, or too much */
    public function roster(string $text): RosterText
    {
        $roster = RosterText::read($text);
        $lines = count($roster->rows);
        if ($lines === 0 || $lines > RosterPlan::MAX_LINES) {
            throw ValidationException::withMessages(['text' => $lines === 0
                ? 'There is no line with a student in it. Nothing was changed.'
                : "A roster has 5,000 lines at most, and this has $lines. Nothing was changed."]);
        }

        return $roster;
    }

    /** What was said of the columns, or what they look like. */
    public function columns(RosterText $roster): RosterColumns
    {
        $guess = RosterColumns::guess($roster->rows);
        /** @var list<string>|null $said */
        $said = $this->validated('columns');

        return new RosterColumns(
            $said === null ? $guess->columns : array_map(RosterColumn::from(...), array_values($said)),
            $this->has('heading') && $this->input('heading') !== null ? $this->boolean('heading') : $guess->hasHeading,
        );
    }

    /** @return list<string> */
    public function setAside(): array
    {
        /** @var list<string> $ids */
        $ids = $this->validated('setAside') ?? [];

        return $ids;
    }
}
