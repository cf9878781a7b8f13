<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Marking\Points;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Source\Position;

/** A report as one JSON document, for other programs. Lines and columns 1-based in code points, offsets in bytes. */
final readonly class JsonReport
{
    public static function render(CheckReport $report): string
    {
        return json_encode([
            'tool' => ['name' => 'Inked Margin', 'version' => Check::ENGINE],
            'site' => [
                'name' => $report->reading->site->name,
                'files' => count($report->reading->site->files()),
                'pages' => count($report->reading->pages),
            ],
            'findings' => array_map(self::finding(...), $report->findings),
            'requirements' => array_map(self::outcome(...), $report->outcomes),
            'score' => self::points($report->score),
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return array<string, mixed> */
    private static function finding(PlacedFinding $placed): array
    {
        $finding = $placed->finding;

        return [
            'rule' => $finding->rule,
            'weight' => $finding->weight->value,
            'mark' => $finding->mark->value,
            'file' => $finding->file,
            'start' => self::position($placed->start),
            'end' => self::position($placed->end),
            'message' => $finding->message,
            'remedy' => $finding->remedy,
            'related' => array_map(self::related(...), $finding->related),
            'requirement' => $finding->requirement,
            'fingerprint' => $placed->fingerprint,
        ];
    }

    /** @return array{file: string, start: array<string, int>, end: array<string, int>, message: string} */
    public static function related(Related $related): array
    {
        return [
            'file' => $related->source->path,
            'start' => self::position($related->source->position($related->span->start)),
            'end' => self::position($related->source->position($related->span->end)),
            'message' => $related->message,
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
        ];
    }

    /** @return array<string, int> */
    private static function position(Position $position): array
    {
        return ['line' => $position->line, 'column' => $position->column, 'offset' => $position->offset];
    }

    /** @return array<string, float> */
    private static function points(Points $points): array
    {
        return ['awarded' => $points->awarded, 'possible' => $points->possible];
    }
}
