<?php

declare(strict_types=1);

namespace App\Replies;

use App\Models\HandIn;
use App\Models\Mark;
use App\Models\Outcome;
use App\Models\Remark;
use App\Models\RemarkKind;
use Illuminate\Support\Collection;
use InkedMargin\Core\Marking\OutcomeKind;

/** Opening and closing words of a reply that are offered from the outcomes, for the instructor to change. */
final readonly class DraftWords
{
    /** So many requirements are named. */
    private const MAX_NAMED = 3;

    private function __construct(private HandIn $handIn)
    {
    }

    /**
     * @param  HandIn  $handIn  with its student, outcomes, marks and remarks
     * @return array{opening: string, closing: string}
     */
    public static function of(HandIn $handIn): array
    {
        $words = new self($handIn);

        return ['opening' => $words->opening(), 'closing' => $words->closing()];
    }

    private function opening(): string
    {
        $outcomes = $this->judged();
        $met = $outcomes->filter($this->isMet(...));
        $open = $outcomes->reject($this->isMet(...));
        $all = $outcomes->count();

        return implode(' ', array_filter([
            $this->first().',',
            match (true) {
                $all === 0 => 'I have read your site.',
                $open->isEmpty() => "your site does all that was asked: all $all requirements are met.",
                $met->isEmpty() => $all === 1
                    ? 'what was asked is not met yet.'
                    : "none of the $all requirements is fully met yet.",
                default => "your site meets {$met->count()} of $all requirements.",
            },
            $met->isEmpty() || $open->isEmpty() ? '' : 'What works: '.self::named($met).'.',
            $open->isEmpty() ? '' : 'What needs another look: '.self::named($open).'.',
        ]));
    }

    private function closing(): string
    {
        $inked = $this->handIn->remarks->filter(
            fn (Remark $one) => $one->isInReply() && $one->kind === RemarkKind::Finding,
        );
        $page = $inked->whereNotNull('file')->countBy('file')->sortDesc()->keys()->first();
        $count = $inked->where('file', $page)->count();

        return match (true) {
            $page === null => $this->withoutInk(),
            $count === 1 => "Start with `$page`: one place is marked there.",
            default => "Start with `$page`: $count places are marked there. What you learn there helps on the other "
                .'pages, too.',
        };
    }

    private function withoutInk(): string
    {
        $open = $this->judged()->reject($this->isMet(...));
        $first = $open->sortByDesc(fn (Outcome $one) => (float) $one->possible - (float) $one->awarded)->first();

        return $first === null
            ? 'Keep going like this.'
            : 'Begin with “'.rtrim($first->title, '. ').'”: it brings the most points.';
    }

    private function first(): string
    {
        return explode(' ', trim($this->handIn->student->name))[0];
    }

    /** @return Collection<int, Outcome> those that are judged, by the rules or by hand */
    private function judged(): Collection
    {
        return ($this->handIn->run->outcomes ?? new Collection)->toBase()->filter(
            fn (Outcome $one) => $this->mark($one) !== null || $one->outcome !== OutcomeKind::NotJudged,
        )->values();
    }

    private function isMet(Outcome $outcome): bool
    {
        $mark = $this->mark($outcome);

        return $mark === null
            ? $outcome->outcome === OutcomeKind::Met
            : (float) $mark->points >= (float) $outcome->possible;
    }

    private function mark(Outcome $outcome): ?Mark
    {
        /** @var Mark|null */
        return $this->handIn->marks->firstWhere('requirement', $outcome->requirement);
    }

    /** @param  Collection<int, Outcome>  $outcomes */
    private static function named(Collection $outcomes): string
    {
        // The costly ones first; the title of a requirement is a sentence or a few words.
        $titles = $outcomes->sortByDesc(fn (Outcome $one) => (float) $one->possible)->take(self::MAX_NAMED)
            ->map(fn (Outcome $one) => '“'.rtrim($one->title, '. ').'”')->values()->all();
        $more = $outcomes->count() - count($titles);

        return implode(', ', $titles).($more > 0 ? ", and $more more" : '');
    }
}
