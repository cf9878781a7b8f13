<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'source', type: 'string'),
    new OA\Property(property: 'version', description: 'of the draft that was changed; 0 for none', type: 'integer'),
])]
final class DraftRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['source' => ['required', 'string', 'max:200000'], 'version' => ['required', 'integer', 'min:0']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['source.max' => 'The brief is longer than 200,000 characters. The draft stays as it was.'];
    }
}
