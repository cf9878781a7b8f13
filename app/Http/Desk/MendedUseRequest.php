<?php

declare(strict_types=1);

namespace App\Http\Desk;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What a mended copy is used for. */
#[OA\Schema(required: ['inReply', 'follow'], properties: [
    new OA\Property(property: 'inReply', type: 'boolean'),
    new OA\Property(property: 'follow', description: 'whether the other pages should follow it', type: 'boolean'),
])]
final class MendedUseRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['inReply' => ['required', 'boolean'], 'follow' => ['required', 'boolean']];
    }
}
