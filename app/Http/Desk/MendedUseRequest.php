<?php

declare(strict_types=1);

namespace App\Http\Desk;

use Illuminate\Foundation\Http\FormRequest;

/** What a mended copy is used for. */
final class MendedUseRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['inReply' => ['required', 'boolean'], 'follow' => ['required', 'boolean']];
    }
}
