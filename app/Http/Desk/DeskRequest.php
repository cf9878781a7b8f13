<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Marking\ReadingOrder;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Names a leaf of a hand-in, and in which order the class is read. */
final class DeskRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'leaf' => ['nullable', 'string', 'max:400'],
            'order' => ['nullable', Rule::enum(ReadingOrder::class)],
            'with' => ['nullable', 'string', 'max:100'],
        ];
    }

    /** @return string|null null where none is named; '' for the hand-in as a whole */
    public function leaf(): ?string
    {
        return $this->has('leaf') ? $this->string('leaf')->toString() : null;
    }

    public function order(): ReadingOrder
    {
        return ReadingOrder::tryFrom($this->string('order')->toString()) ?? ReadingOrder::Name;
    }

    /** The rule that has to have found something; null where that does not matter. */
    public function with(): ?string
    {
        return $this->filled('with') ? $this->string('with')->toString() : null;
    }
}
