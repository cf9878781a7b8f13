<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'token', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
])]
final class ResetRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:200'],
            'token' => ['required', 'string', 'max:200'],
            'password' => (new FirstRunRequest)->rules()['password'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return (new FirstRunRequest)->messages();
    }
}
