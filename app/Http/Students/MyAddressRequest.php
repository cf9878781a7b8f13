<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Intake\Published\AddressRule;
use App\Intake\Published\FetchFailure;
use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** A site that is handed in by its address. */
final class MyAddressRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $canBeFetched = function (string $field, mixed $value, Closure $fail): void {
            try {
                AddressRule::ofConfig()->read(is_string($value) ? $value : '');
            } catch (FetchFailure $failure) {
                $fail("{$failure->getMessage()} Nothing was handed in.");
            }
        };

        return [
            'address' => ['required', 'string', 'max:500', $canBeFetched],
            'note' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'address.required' => 'Type the address of your site.',
            'address.max' => 'An address has 500 characters at most. Nothing was handed in.',
            'note.max' => 'A note has 2,000 characters at most. Nothing was handed in.',
        ];
    }
}
