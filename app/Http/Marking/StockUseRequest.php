<?php

declare(strict_types=1);

namespace App\Http\Marking;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(
        property: 'rule',
        description: 'of the finding that it was used for',
        type: 'string',
        nullable: true,
    ),
])]
final class StockUseRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['rule' => ['nullable', 'string', 'max:100']];
    }
}
