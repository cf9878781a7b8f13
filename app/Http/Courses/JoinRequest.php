<?php

declare(strict_types=1);

namespace App\Http\Courses;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['handle'], properties: [
    new OA\Property(property: 'handle', type: 'string'),
    new OA\Property(
        property: 'word',
        description: 'of the course, where it asks for one',
        type: 'string',
        nullable: true,
    ),
])]
final class JoinRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['handle' => ['required', 'string', 'max:100'], 'word' => ['nullable', 'string', 'max:100']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['handle.required' => 'Type your handle: the log-in or number that your school knows you by.'];
    }
}
