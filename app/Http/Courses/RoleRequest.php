<?php

declare(strict_types=1);

namespace App\Http\Courses;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [new OA\Property(property: 'role', enum: ['instructor', 'marker'], type: 'string')])]
final class RoleRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['role' => ['required', 'in:instructor,marker']];
    }
}
