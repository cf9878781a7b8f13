<?php

declare(strict_types=1);

namespace App\Http\Grades;

use Illuminate\Foundation\Http\FormRequest;

/** How the work of a course comes together. */
final class GradeSettingsRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'parts' => ['required', 'array', 'min:1', 'max:20'],
            'parts.*.title' => ['required', 'string', 'max:120', 'distinct'],
            'parts.*.weight' => ['required', 'numeric', 'min:0', 'max:10000'],
            'parts.*.best' => ['nullable', 'integer', 'min:1', 'max:1000'],
            'work' => ['present', 'array', 'max:500'],
            'work.*.id' => ['required', 'uuid'],
            'work.*.part' => ['required', 'integer', 'min:0', 'max:19'],
            'work.*.weight' => ['required', 'numeric', 'min:0', 'max:10000'],
        ];
    }

    /** @return list<array{title: string, weight: float, best: int|null}> */
    public function parts(): array
    {
        /** @var list<array{title: string, weight: float|int|string, best?: int|string|null}> $parts */
        $parts = $this->validated('parts');

        return array_map(fn (array $part) => [
            'title' => $part['title'],
            'weight' => (float) $part['weight'],
            'best' => isset($part['best']) ? (int) $part['best'] : null,
        ], $parts);
    }

    /** @return list<array{id: string, part: int, weight: float}> */
    public function work(): array
    {
        /** @var list<array{id: string, part: int|string, weight: float|int|string}> $work */
        $work = $this->validated('work');

        return array_map(fn (array $one) => [
            'id' => $one['id'], 'part' => (int) $one['part'], 'weight' => (float) $one['weight'],
        ], $work);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'parts.min' => 'A course has one part at least. Nothing was changed.',
            'parts.*.title.distinct' => 'Two parts have the same name. Nothing was changed.',
            'parts.*.title.*' => 'Each part needs a name of 120 characters at most. Nothing was changed.',
            'parts.*.best.*' => 'How many of the best count is a whole number from 1, or empty for all. Nothing was '
                .'changed.',
            '*.weight.*' => 'A weight is a number from 0 to 10,000. Nothing was changed.',
            'work.*.weight.*' => 'A weight is a number from 0 to 10,000. Nothing was changed.',
            'parts.*.weight.*' => 'A weight is a number from 0 to 10,000. Nothing was changed.',
        ];
    }
}
