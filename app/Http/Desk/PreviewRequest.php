<?php

declare(strict_types=1);

namespace App\Http\Desk;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A note in the making. */
#[OA\Schema(required: ['body'], properties: [new OA\Property(property: 'body', type: 'string')])]
final class PreviewRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['body' => ['present', 'nullable', 'string', 'max:20000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['body.max' => 'The note is longer than 20,000 characters.'];
    }
}
