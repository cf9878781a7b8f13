<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Feedback\NewestFindings;
use App\Models\Finding;
use App\Models\RemarkKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Http\FormRequest;

/** What is done with one kind of slip in a class: with all of its places, or with those that are chosen. */
final class SlipRequest extends FormRequest
{
    private const NOTES = ['note', 'question'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'rule' => ['required', 'string', 'max:255'],
            'variant' => ['present', 'nullable', 'string', 'max:255'],
            'does' => ['required', 'in:inked,rubbed-out,note,question'],
            'words' => [
                'nullable',
                'string',
                $this->isNote() ? 'max:20000' : 'max:2000',
                'required_if:does,note,question',
            ],
            'chosen' => ['nullable', 'array', 'min:1', 'max:2000'],
            'chosen.*.handIn' => ['required', 'uuid'],
            'chosen.*.fingerprint' => ['required', 'string', 'max:40'],
        ];
    }

    /** @return Builder<Finding> those that are meant, decided or not, joined with their hand-ins as `h` */
    public function findings(string $assignment): Builder
    {
        $rule = $this->string('rule')->toString();
        $found = NewestFindings::inClass($assignment, $rule, $this->string('variant')->toString());
        /** @var list<array{handIn: string, fingerprint: string}> $chosen */
        $chosen = $this->array('chosen');
        if ($chosen === []) {
            return $found;
        }
        $pairs = implode(',', array_fill(0, count($chosen), '(?::uuid, ?)'));
        $values = array_merge(...array_map(fn (array $one) => [$one['handIn'], $one['fingerprint']], $chosen));

        return $found->whereRaw("(h.id, findings.fingerprint) in ($pairs)", $values);
    }

    public function isNote(): bool
    {
        // Asked for before it is known to be a text.
        return in_array($this->input('does'), self::NOTES, true);
    }

    public function kind(): RemarkKind
    {
        $does = $this->string('does')->toString();

        return RemarkKind::ofState($does) ?? ($does === 'question' ? RemarkKind::Question : RemarkKind::Note);
    }

    /** The note, or why they are rubbed out; null when nothing was said. */
    public function words(): ?string
    {
        return $this->filled('words') && $this->kind() !== RemarkKind::Finding
            ? $this->string('words')->toString()
            : null;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'does.*' => 'Slips are inked, rubbed-out, or given a note together. Nothing was changed.',
            'words.required_if' => 'The note is empty. Nothing was changed.',
            'words.max' => $this->isNote()
                ? 'The note is longer than 20,000 characters. Nothing was changed.'
                : 'A reason has 2,000 characters at most. Nothing was changed.',
            'chosen.max' => '2,000 places can be chosen at once. Nothing was changed.',
            'chosen.*' => 'The chosen places are not named as they are listed. Nothing was changed.',
        ];
    }
}
