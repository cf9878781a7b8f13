<?php

declare(strict_types=1);

namespace App\Http\Desk;

use Illuminate\Foundation\Http\FormRequest;

/** Somebody reads a hand-in. */
final class HereRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['seconds' => ['required', 'integer', 'min:0', 'max:60']];
    }
}
