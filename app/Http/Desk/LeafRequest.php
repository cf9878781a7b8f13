<?php

declare(strict_types=1);

namespace App\Http\Desk;

use Illuminate\Foundation\Http\FormRequest;

/** Names a leaf of a hand-in in its address; '' is the hand-in as a whole. */
final class LeafRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['leaf' => ['nullable', 'string', 'max:400'], 'links' => ['nullable', 'boolean']];
    }

    /** @return string|null null where none is named */
    public function leaf(): ?string
    {
        return $this->has('leaf') ? $this->string('leaf')->toString() : null;
    }
}
