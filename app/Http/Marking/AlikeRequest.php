<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Feedback\Reach;
use App\Models\RemarkKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A decision on all findings of a kind that are in pencil. */
final class AlikeRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'state' => ['required', 'in:inked,rubbed-out'],
            'reach' => ['required', Rule::enum(Reach::class)],
            'reason' => ['nullable', 'string', 'max:2000'],
        ];
    }

    public function kind(): RemarkKind
    {
        return RemarkKind::ofState($this->string('state')->toString()) ?? RemarkKind::RubbedOut;
    }

    public function reach(): Reach
    {
        return Reach::from($this->string('reach')->toString());
    }

    /** Why they are rubbed out; null when nothing was said. */
    public function reason(): ?string
    {
        return $this->filled('reason') ? $this->string('reason')->toString() : null;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'state.*' => 'Findings are inked or rubbed-out together. Nothing was changed.',
            'reach.*' => 'It goes as far as the page, the site, or the class. Nothing was changed.',
            'reason.max' => 'A reason has 2,000 characters at most. Nothing was changed.',
        ];
    }
}
