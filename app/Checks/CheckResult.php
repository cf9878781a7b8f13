<?php

declare(strict_types=1);

namespace App\Checks;

use App\Models\KeptReason;
use Illuminate\Support\Str;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\FindingCosts;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Report\JsonReport;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Source\Utf8;

/** What is kept of a check: rows for the database, without the site, so that one process can hand it to another. */
final readonly class CheckResult
{
    private const MAX_SHORTFALLS = 50;

    /**
     * @param  list<array<string, mixed>>  $findings
     * @param  list<array<string, mixed>>  $outcomes
     * @param  array<string, int>  $tally  findings by weight
     * @param  array<string, mixed>  $scheme
     * @param  array<string, mixed>  $survey
     */
    private function __construct(
        public array $findings,
        public array $outcomes,
        public array $tally,
        public ?float $awarded,
        public ?float $possible,
        public array $scheme,
        public array $survey,
    ) {
    }

    public static function of(CheckReport $report, string $runId): self
    {
        $free = array_fill_keys(array_map(fn (PlacedFinding $one) => $one->fingerprint, $report->free()), true);
        $costs = FindingCosts::of($report);
        $findings = $outcomes = [];
        foreach ($report->findings as $position => $one) {
            $findings[] = [
                'check_run_id' => $runId,
                'position' => $position,
                'free' => isset($free[$one->fingerprint]),
                'cost' => $costs->get($one->fingerprint) ?? 0.0,
                ...self::finding($one),
            ];
        }
        foreach ($report->outcomes as $position => $outcome) {
            $outcomes[] = ['check_run_id' => $runId, 'position' => $position, ...self::outcome($outcome)];
        }

        return new self(
            $findings,
            $outcomes,
            array_count_values(array_map(fn (PlacedFinding $one) => $one->finding->weight->value, $report->findings)),
            $report->score->awarded,
            $report->score->possible,
            $report->brief->scheme->given,
            SiteSurvey::of($report->site, $report->brief),
        );
    }

    public function count(Weight $weight): int
    {
        return $this->tally[$weight->value] ?? 0;
    }

    /** @return array<string, mixed> */
    private static function finding(PlacedFinding $placed): array
    {
        $finding = $placed->finding;

        return [
            'rule' => $finding->rule,
            'variant' => $finding->variant,
            'weight' => $finding->weight->value,
            'mark' => $finding->mark->value,
            'file' => $finding->file,
            'start_line' => $placed->start->line,
            'start_column' => $placed->start->column,
            'start_offset' => $placed->start->offset,
            'end_line' => $placed->end->line,
            'end_column' => $placed->end->column,
            'end_offset' => $placed->end->offset,
            'message' => Utf8::scrub($finding->message),
            'remedy' => Utf8::scrub($finding->remedy),
            'related' => self::json(array_map(JsonReport::related(...), $finding->related)),
            'mend' => $finding->mend === null ? null : self::json(JsonReport::mend($finding->mend)),
            'requirement' => $finding->requirement,
            'fingerprint' => $placed->fingerprint,
        ];
    }

    /** @return array<string, mixed> */
    private static function outcome(Outcome $outcome): array
    {
        return [
            'id' => (string) Str::uuid7(),
            'requirement' => $outcome->requirement->terms->id,
            'title' => $outcome->requirement->terms->title,
            'outcome' => $outcome->kind->value,
            'measured' => Utf8::scrub($outcome->measured),
            'expected' => Utf8::scrub($outcome->expected),
            // Where the points went, as far as anybody reads.
            'shortfalls' => self::json(
                array_map(JsonReport::reason(...), array_slice($outcome->reasons, 0, self::MAX_SHORTFALLS)),
            ),
            'awarded' => $outcome->points->awarded,
            'possible' => $outcome->points->possible,
            'how' => $outcome->points->how,
            'award' => self::json($outcome->award->toArray()),
            'losses' => self::json(KeptReason::rows($outcome->reasons)),
            'choices' => self::json($outcome->requirement->choices()),
        ];
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR);
    }
}
