<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Models\RemarkKind;
use Illuminate\Foundation\Http\FormRequest;

/** What becomes of all reasons that are still in pencil. */
final class ReasonRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'state' => ['required', 'in:inked,rubbed-out'],
            'handIns' => ['sometimes', 'array', 'max:2000'],
            'handIns.*' => ['uuid'],
        ];
    }

    public function kind(): RemarkKind
    {
        return RemarkKind::ofState($this->string('state')->toString()) ?? RemarkKind::RubbedOut;
    }
}
