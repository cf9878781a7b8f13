<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Models\Assignment;
use App\Models\Course;
use App\Models\Student;
use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** Asks for the name of what is to go, so that nobody deletes a term by a slip. */
final class DeleteRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $isItsName = function (string $field, mixed $value, Closure $fail): void {
            $what = $this->route('course') ?? $this->route('assignment') ?? $this->route('student');
            $title = match (true) {
                $what instanceof Course, $what instanceof Assignment => $what->title,
                $what instanceof Student => $what->name,
                default => null,
            };
            if (! is_string($value) || trim($value) !== $title) {
                $fail('That is not its name. Nothing was deleted.');
            }
        };

        return ['title' => ['bail', 'required', 'string', $isItsName]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return array_fill_keys(['title.required', 'title.string'], 'Type its name to delete it.');
    }
}
