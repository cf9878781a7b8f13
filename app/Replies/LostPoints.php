<?php

declare(strict_types=1);

namespace App\Replies;

use App\Models\Finding;
use App\Models\HandIn;
use App\Models\KeptReason;
use App\Models\Outcome;
use App\Models\Remark;
use App\Models\RemarkKind;
use App\Outcomes\RecountedOutcome;
use Illuminate\Support\Collection;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\TextMap;

/** Why a hand-in lost its points: each part of them with its reason, inked or still in pencil. */
final readonly class LostPoints
{
    /** Characters of a reason that nobody inked. */
    private const MAX_WORDS = 160;

    /** @var TextMap<Remark> what was decided, by fingerprint */
    private TextMap $decisions;

    /** @var list<string> fingerprints */
    private array $rubbedOut;

    /** @param  HandIn  $handIn  with all that `ReplyComposer::NEEDS` names */
    public function __construct(private HandIn $handIn)
    {
        $this->decisions = new TextMap;
        foreach ($handIn->remarks->whereNotNull('fingerprint') as $remark) {
            $this->decisions->put((string) $remark->fingerprint, $remark);
        }
        $rubbedOut = [];
        foreach ($this->decisions as $print => $remark) {
            if ($remark->kind === RemarkKind::RubbedOut) {
                $rubbedOut[] = $print;
            }
        }
        $this->rubbedOut = $rubbedOut;
    }

    /** @return list<ReplyReason> the costliest first; none where the points were given by hand */
    public function of(Outcome $outcome): array
    {
        if ($outcome->award === null || $outcome->outcome === OutcomeKind::NotJudged || $this->isByHand($outcome)) {
            return [];
        }
        $grouped = $this->grouped($outcome);
        usort($grouped, fn (ReplyReason $a, ReplyReason $b) => $b->cost <=> $a->cost);

        return $grouped;
    }

    /** @return list<ReplyReason> what no requirement covers, and costs by its weight */
    public function ofWeights(): array
    {
        $costing = $this->handIn->run->costingFindings ?? new Collection;

        return array_values($costing->map(fn (Finding $one) => $this->reason(
            $one->fingerprint,
            (float) $one->cost,
            $one->message,
            $one->file,
            $one->place()['line'],
        ))->all());
    }

    /** @return list<string> fingerprints of findings that cost points and are still in pencil */
    public function pencilled(): array
    {
        /** @var TextMap<float> $costs points by fingerprint */
        $costs = new TextMap;
        foreach ($this->handIn->run->outcomes ?? [] as $outcome) {
            if ($outcome->award === null || $this->handIn->assignment->leavesOut($outcome->requirement)
                || $this->isByHand($outcome)) {
                continue;
            }
            foreach ((new RecountedOutcome($outcome, $this->rubbedOut))->costs() as $print => $cost) {
                $costs->put($print, $costs->get($print) ?? $cost);
            }
        }
        foreach ($this->handIn->run->costingFindings ?? [] as $finding) {
            $costs->put($finding->fingerprint, (float) $finding->cost);
        }
        $pencilled = [];
        foreach ($costs as $print => $cost) {
            if ($cost > 0.0 && ! $this->decisions->has($print)) {
                $pencilled[] = $print;
            }
        }

        return $pencilled;
    }

    /** @return list<ReplyReason> one for each finding that shows something of it, told by its costliest place */
    private function grouped(Outcome $outcome): array
    {
        $costs = (new RecountedOutcome($outcome, $this->rubbedOut))->each();
        $groups = [];
        foreach ($outcome->reasons() as $at => $reason) {
            if ($this->stands($reason)) {
                $key = $reason->finding === null ? "one $at" : "print $reason->finding";
                $groups[$key][$at] = $reason->finding;
            }
        }

        return array_values(array_map(function (array $group) use ($outcome, $costs): ReplyReason {
            $own = array_intersect_key($costs, $group);
            $told = $outcome->shortfalls[array_search(max(0.0, ...$own), $own, true)] ?? null;
            $places = array_filter(
                array_intersect_key($outcome->shortfalls, $group),
                fn (array $one) => $one['message'] === ($told['message'] ?? null),
            );

            return $this->reason(
                current($group),
                round(array_sum($own), 2),
                self::words($told['message'] ?? null, count(array_unique(array_map(self::spot(...), $places)))),
                $told['file'] ?? '',
                $told['line'] ?? null,
            );
        }, $groups));
    }

    private static function words(?string $message, int $places): string
    {
        $words = $message ?? 'And more like these.';

        return $places > 1 ? "$words ".English::count($places, 'place').'.' : $words;
    }

    /** @param  array{file: string, line: int|null, ...}  $shortfall */
    private static function spot(array $shortfall): string
    {
        return "{$shortfall['file']} {$shortfall['line']}";
    }

    private function stands(KeptReason $reason): bool
    {
        return $reason->follows === null && ! in_array($reason->finding, $this->rubbedOut, true);
    }

    private function reason(?string $print, float $cost, string $message, string $file, ?int $line): ReplyReason
    {
        $remark = $print === null ? null : $this->decisions->get($print);
        $isInked = $remark?->kind === RemarkKind::Finding;

        return new ReplyReason(
            $isInked ? $remark->body : self::shortened($message),
            $cost,
            $isInked ? (string) $remark->file : $file,
            $isInked ? $remark->line : $line,
            $isInked,
        );
    }

    private function isByHand(Outcome $outcome): bool
    {
        return $this->handIn->marks->contains('requirement', $outcome->requirement);
    }

    private static function shortened(string $message): string
    {
        return mb_strlen($message) <= self::MAX_WORDS ? $message : mb_substr($message, 0, self::MAX_WORDS - 1).'…';
    }
}
