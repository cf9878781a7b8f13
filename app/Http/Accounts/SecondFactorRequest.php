<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Whoever changes how somebody logs in knows their password. */
#[OA\Schema(properties: [new OA\Property(property: 'current', description: 'the password', type: 'string')])]
final class SecondFactorRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['current' => ['bail', 'required', 'string', 'max:200', 'current_password']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'current.required' => 'Enter your password.',
            'current.current_password' => AccountRequest::NOT_THEIRS,
        ];
    }
}
