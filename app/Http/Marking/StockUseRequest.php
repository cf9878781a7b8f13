<?php

declare(strict_types=1);

namespace App\Http\Marking;

use Illuminate\Foundation\Http\FormRequest;

final class StockUseRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['rule' => ['nullable', 'string', 'max:100']];
    }
}
