<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use Illuminate\Foundation\Http\FormRequest;

/** How many points a proposed brief adds up to. */
final class ProposalRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['total' => ['nullable', 'numeric', 'min:0.5', 'max:10000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['total.*' => 'Type a number of points from 0.5 to 10,000, or leave it empty.'];
    }

    public function total(): ?float
    {
        return $this->filled('total') ? $this->float('total') : null;
    }
}
