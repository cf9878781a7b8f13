<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'source', description: 'YAML or JSON', type: 'string'),
    new OA\Property(property: 'site', description: 'the key of the site to try it on', type: 'string', nullable: true),
])]
final class TryDraftRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['source' => ['required', 'string', 'max:200000'], 'site' => ['nullable', 'string', 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['source.max' => 'The brief is longer than 200,000 characters.'];
    }
}
