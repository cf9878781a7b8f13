<?php

declare(strict_types=1);

namespace App\Http\Intake;

use Illuminate\Foundation\Http\FormRequest;

final class DropRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['packed' => ['required', 'boolean'], 'drop' => ['required', 'string', 'uuid']];
    }
}
