<?php

declare(strict_types=1);

namespace App\Http\Intake;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['packed', 'drop'], properties: [
    new OA\Property(
        property: 'packed',
        description: 'whether it is a folder, or loose files, packed on the way',
        type: 'boolean',
    ),
    new OA\Property(property: 'drop', description: 'a UUID that all files dropped together share', type: 'string'),
])]
final class DropRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['packed' => ['required', 'boolean'], 'drop' => ['required', 'string', 'uuid']];
    }
}
