<?php

declare(strict_types=1);

namespace App\Http\Replies;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Whether to e-mail the student. */
#[OA\Schema(properties: [new OA\Property(property: 'letters', type: 'boolean')])]
final class LetterRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['letters' => ['boolean']];
    }
}
