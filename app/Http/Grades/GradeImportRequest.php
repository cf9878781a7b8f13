<?php

declare(strict_types=1);

namespace App\Http\Grades;

use App\Grades\GradeFile;
use App\Grades\GradeImport;
use App\Models\Course;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

/** Marks from elsewhere, as text or as a file, and which of their columns are taken. */
final class GradeImportRequest extends FormRequest
{
    private const MAX_BYTES = 2_000_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'text' => ['required_without:file', 'string', 'max:'.self::MAX_BYTES],
            'file' => ['required_without:text', 'file', 'max:'.intdiv(self::MAX_BYTES, 1_000)],
            'from' => ['nullable', 'string', 'max:200'],
            'columns' => ['array', 'max:100', $this->haveNamesOfTheirOwn(...)],
            'columns.*.at' => ['required', 'integer', 'min:0', 'max:1000'],
            'columns.*.title' => ['required', 'string', 'max:200'],
            'columns.*.possible' => ['required', 'numeric', 'gt:0', 'max:100000'],
        ];
    }

    private function haveNamesOfTheirOwn(string $field, mixed $columns, \Closure $fail): void
    {
        $titles = array_filter(array_column(is_array($columns) ? $columns : [], 'title'), is_string(...));
        if (count($titles) !== count(array_unique(array_map(mb_strtolower(...), $titles)))) {
            $fail('Two columns have the same name. Nothing was changed.');
        }
    }

    /** @throws ValidationException where it cannot be read */
    public function marks(Course $course): GradeImport
    {
        $file = $this->file('file');
        try {
            return new GradeImport(
                $course,
                $file instanceof UploadedFile ? GradeFile::text($file) : $this->string('text')->toString(),
            );
        } catch (InvalidArgumentException $error) {
            throw ValidationException::withMessages(['text' => $error->getMessage()]);
        }
    }

    /** @return list<array{at: int, title: string, possible: float}> */
    public function columns(): array
    {
        /** @var list<array{at: int|string, title: string, possible: float|int|string}> $columns */
        $columns = $this->validated('columns') ?? [];

        return array_map(fn (array $one) => [
            'at' => (int) $one['at'], 'title' => $one['title'], 'possible' => (float) $one['possible'],
        ], $columns);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required_without' => 'Paste the marks, or drop a file. Nothing was changed.',
            'columns.*.possible.*' => 'Say how many points can be had: a number above 0. Nothing was changed.',
            '*.max' => 'Marks have 2 MB at most. Nothing was changed.',
            'file.uploaded' => 'The file did not arrive whole. Nothing was changed.',
        ];
    }
}
