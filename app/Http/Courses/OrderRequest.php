<?php

declare(strict_types=1);

namespace App\Http\Courses;

use Illuminate\Foundation\Http\FormRequest;

final class OrderRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['ids' => ['present', 'array', 'max:500'], 'ids.*' => ['required', 'string', 'uuid', 'distinct']];
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_values(array_filter($this->array('ids'), is_string(...)));
    }
}
