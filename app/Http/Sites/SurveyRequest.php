<?php

declare(strict_types=1);

namespace App\Http\Sites;

use Illuminate\Foundation\Http\FormRequest;

final class SurveyRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['around' => ['nullable', 'string', 'max:400']];
    }

    public function around(): ?string
    {
        $around = $this->query('around');

        return is_string($around) && $around !== '' ? $around : null;
    }
}
