<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\FindingCosts;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Marking\Points;
use InkedMargin\Core\Marking\Reason;
use InkedMargin\Core\Marking\Score;
use InkedMargin\Core\Source\Position;

/** A report as one JSON document, for other programs. Lines and columns 1-based in code points, offsets in bytes. */
final readonly class JsonReport
{
    public static function render(CheckReport $report): string
    {
        $costs = FindingCosts::of($report);

        return Json::text([
            'tool' => ['name' => 'Inked Margin', 'version' => Check::ENGINE],
            'site' => [
                'name' => $report->site->files->name,
                'files' => count($report->site->files->files()),
                'pages' => count($report->site->pages),
            ],
            'findings' => array_map(
                fn (PlacedFinding $one) => self::finding($one, $costs->get($one->fingerprint) ?? 0.0),
                $report->findings,
            ),
            'requirements' => array_map(self::outcome(...), $report->outcomes),
            'score' => self::score($report->score),
        ]);
    }

    /** @return array<string, mixed> */
    private static function finding(PlacedFinding $placed, float $cost): array
    {
        $finding = $placed->finding;

        return [
            'rule' => $finding->rule,
            'variant' => $finding->variant === '' ? null : $finding->variant,
            'weight' => $finding->weight->value,
            'mark' => $finding->mark->value,
            'file' => $finding->file,
            'start' => self::position($placed->start),
            'end' => self::position($placed->end),
            'message' => $finding->message,
            'remedy' => $finding->remedy,
            'related' => array_map(self::related(...), $finding->related),
            'mend' => self::mend($finding->mend),
            'requirement' => $finding->requirement,
            'fingerprint' => $placed->fingerprint,
            'cost' => $cost,
        ];
    }

    /** @return array{file: string, start: array<string, int>, end: array<string, int>, message: string} */
    public static function related(Related $related): array
    {
        $range = $related->source->range($related->span);

        return [
            'file' => $related->source->path,
            'start' => self::position($range->start),
            'end' => self::position($range->end),
            'message' => $related->message,
        ];
    }

    /**
     * @return list<array{file: string, start: array<string, int>, end: array<string, int>, text: string}>|null the
     *     changes that mend it
     */
    public static function mend(?Mend $mend): ?array
    {
        return $mend === null ? null : array_map(function (Edit $edit): array {
            $range = $edit->source->range($edit->span);

            return [
                'file' => $edit->source->path,
                'start' => self::position($range->start),
                'end' => self::position($range->end),
                'text' => $edit->text,
            ];
        }, $mend->edits);
    }

    /**
     * @return array{variant: string, file: string, line: int|null, column: int|null, message: string, remedy: string}
     */
    public static function shortfall(Shortfall $shortfall): array
    {
        $start = $shortfall->draft->source?->position($shortfall->draft->span->start);

        return [
            'variant' => $shortfall->draft->variant,
            'file' => $shortfall->draft->file,
            'line' => $start?->line,
            'column' => $start?->column,
            'message' => $shortfall->draft->message,
            'remedy' => $shortfall->draft->remedy,
        ];
    }

    /** @return array<string, mixed> a shortfall with what it costs */
    public static function reason(Reason $reason): array
    {
        return [
            ...self::shortfall($reason->shortfall),
            'cost' => $reason->cost,
            'finding' => $reason->finding,
            'follows' => $reason->follows,
        ];
    }

    /** @return array<string, mixed> */
    private static function outcome(Outcome $outcome): array
    {
        return [
            'id' => $outcome->requirement->terms->id,
            'title' => $outcome->requirement->terms->title,
            'outcome' => $outcome->kind->value,
            'measured' => $outcome->measured,
            'expected' => $outcome->expected,
            'points' => self::points($outcome->points),
            'findings' => $outcome->findings,
            'shortfalls' => array_map(self::reason(...), $outcome->reasons),
        ];
    }

    /** @return array<string, int> */
    private static function position(Position $position): array
    {
        return ['line' => $position->line, 'column' => $position->column, 'offset' => $position->offset];
    }

    /** @return array{awarded: float, possible: float, how: string} */
    private static function points(Points $points): array
    {
        return ['awarded' => $points->awarded, 'possible' => $points->possible, 'how' => $points->how];
    }

    /** @return array<string, mixed> with every line that makes the sum */
    public static function score(Score $score): array
    {
        return [
            'awarded' => $score->awarded,
            'possible' => $score->possible,
            'judged' => $score->judged,
            'lines' => $score->lines,
        ];
    }
}
