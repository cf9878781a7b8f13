<?php

declare(strict_types=1);

namespace App\Http\Desk;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Somebody reads a hand-in. */
#[OA\Schema(required: ['seconds'], properties: [
    new OA\Property(property: 'seconds', description: 'that it was read since this was said last', type: 'integer'),
])]
final class HereRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['seconds' => ['required', 'integer', 'min:0', 'max:60']];
    }
}
