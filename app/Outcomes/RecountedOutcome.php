<?php

declare(strict_types=1);

namespace App\Outcomes;

use App\Models\KeptReason;
use App\Models\Outcome;
use InkedMargin\Core\Brief\Requirement\Award;
use InkedMargin\Core\Marking\Earned;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Marking\Recount;
use InkedMargin\Core\Source\TextMap;

/** An outcome as it is once some findings are rubbed out. */
final readonly class RecountedOutcome
{
    private Recount $recount;

    /** @param  list<string>  $rubbedOut  fingerprints */
    public function __construct(private Outcome $outcome, array $rubbedOut)
    {
        $losses = $outcome->reasons();
        $this->recount = Recount::of(
            $outcome->award === null ? new Award((float) $outcome->possible) : Award::fromArray($outcome->award),
            array_map(fn (KeptReason $one) => $one->loss(), $losses),
            array_map(fn (KeptReason $one) => $one->finding, $losses),
            $rubbedOut,
        );
    }

    public function isChanged(): bool
    {
        $costs = array_column($this->outcome->shortfalls, 'cost');

        return ! $this->isOpen() && ($this->recount->points !== (float) $this->outcome->awarded
            || $this->recount->kind !== $this->outcome->outcome
            || array_map(floatval(...), $costs) !== array_slice($this->recount->costs, 0, count($costs)));
    }

    /**
     * @return array{id: string, outcome: string, awarded: float, how: string,
     *     shortfalls: list<array<string, mixed>>}
     */
    public function row(): array
    {
        $shortfalls = [];
        foreach ($this->outcome->shortfalls as $at => $shortfall) {
            $shortfalls[] = ['cost' => $this->recount->costs[$at] ?? 0.0] + $shortfall;
        }

        return [
            'id' => $this->outcome->id,
            'outcome' => $this->recount->kind->value,
            'awarded' => $this->recount->points,
            'how' => $this->recount->how,
            'shortfalls' => $shortfalls,
        ];
    }

    /** @return list<float> points, one for each reason */
    public function each(): array
    {
        return $this->recount->costs;
    }

    /** @return TextMap<float> points by the fingerprint of what shows the loss */
    public function costs(): TextMap
    {
        /** @var TextMap<float> $costs */
        $costs = new TextMap;
        foreach ($this->isOpen() ? [] : $this->outcome->reasons() as $at => $reason) {
            if ($reason->finding !== null) {
                $costs->put($reason->finding, ($costs->get($reason->finding) ?? 0.0) + $this->recount->costs[$at]);
            }
        }

        return $costs;
    }

    public function earned(): Earned
    {
        return Earned::worked(
            $this->outcome->requirement,
            $this->outcome->title,
            $this->isOpen() ? OutcomeKind::NotJudged : $this->recount->kind,
            $this->recount->points,
            (float) $this->outcome->possible,
            $this->recount->how,
        );
    }

    private function isOpen(): bool
    {
        return $this->outcome->outcome === OutcomeKind::NotJudged;
    }
}
