<?php

declare(strict_types=1);

namespace App\Checks;

use App\Models\Finding;
use App\Models\Outcome;
use App\Models\StudentsSee;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\FindingCosts;
use InkedMargin\Core\Marking\Outcome as CoreOutcome;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Source\TextMap;

/** What a check says to the student, as far as the assignment allows. */
final readonly class MyCheck
{
    private const MAX_FINDINGS = 500;

    /**
     * @param  list<MyOutcome>  $outcomes
     * @param  list<PencilledFinding>  $findings
     * @param  list<Teaching>  $teachings  one for each kind of finding
     */
    private function __construct(
        public StudentsSee $sees,
        public array $outcomes,
        public array $findings,
        public array $teachings,
    ) {
    }

    /** Of a site that nobody keeps. */
    public static function ofReport(CheckReport $report, StudentsSee $sees): self
    {
        $outcome = fn (CoreOutcome $one) => new MyOutcome(
            $one->requirement->terms->title,
            $one->requirement->sentence(),
            $one->kind,
            $sees->showsPoints() ? $one->points->awarded : null,
            $sees->showsPoints() ? $one->points->possible : null,
        );
        /** @var TextMap<float> $costs */
        $costs = $sees->showsPoints() ? FindingCosts::of($report) : new TextMap;

        $told = fn (PlacedFinding $one) => PencilledFinding::ofPlaced($one, $costs->get($one->fingerprint) ?? 0.0);
        $found = $sees->showsPlaces()
            ? array_map($told, array_slice($report->findings, 0, self::MAX_FINDINGS))
            : [];

        return new self(
            $sees,
            $sees === StudentsSee::Nothing ? [] : array_map($outcome, $report->outcomes),
            $found,
            Teaching::about($found),
        );
    }

    /**
     * Of a hand-in.
     *
     * @param  iterable<Outcome>  $outcomes
     * @param  iterable<Finding>  $findings
     * @param  array<string, string>  $sentences  by requirement
     */
    public static function of(iterable $outcomes, iterable $findings, array $sentences, StudentsSee $sees): self
    {
        $told = [];
        foreach ($sees === StudentsSee::Nothing ? [] : $outcomes as $one) {
            $told[] = new MyOutcome(
                $one->title,
                $sentences[$one->requirement] ?? '',
                $one->outcome,
                $sees->showsPoints() ? (float) $one->awarded : null,
                $sees->showsPoints() ? (float) $one->possible : null,
            );
        }
        $found = [];
        foreach ($sees->showsPlaces() ? $findings : [] as $one) {
            $found[] = PencilledFinding::of($one, $sees->showsPoints() ? (float) $one->cost : 0.0);
        }

        $found = array_slice($found, 0, self::MAX_FINDINGS);

        return new self($sees, $told, $found, Teaching::about($found));
    }
}
