<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Hash;
use OpenApi\Attributes as OA;

/** Whoever changes how somebody logs in knows their password. */
#[OA\Schema(properties: [new OA\Property(property: 'current', description: 'the password', type: 'string')])]
final class SecondFactorRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $isTheirs = function (string $field, mixed $value, \Closure $fail): void {
            $user = $this->user();
            if (! ($user instanceof User && is_string($value) && Hash::check($value, $user->password))) {
                $fail('That is not your password. Nothing was changed.');
            }
        };

        return ['current' => ['required', 'string', 'max:200', $isTheirs]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['current.required' => 'Enter your password.'];
    }
}
