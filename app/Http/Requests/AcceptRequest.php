<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
])]
final class AcceptRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return array_intersect_key((new FirstRunRequest)->rules(), ['name' => 1, 'password' => 1]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return (new FirstRunRequest)->messages();
    }
}
