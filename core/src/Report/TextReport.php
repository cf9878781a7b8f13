<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Marking\CheckReport;

/** A report as plain text, for a person at a terminal. */
final readonly class TextReport
{
    public static function render(CheckReport $report): string
    {
        $lines = [];
        foreach ($report->findings as $placed) {
            $finding = $placed->finding;
            $place = $finding->source === null ? ($finding->file ?: 'site') : "{$finding->file}:{$placed->start->line}:{$placed->start->column}";
            $lines[] = "$place  {$finding->weight->value}  {$finding->rule}";
            $lines[] = "    {$finding->message}";
            $lines[] = "    {$finding->remedy}";
        }
        foreach ($report->outcomes as $outcome) {
            $lines[] = "{$outcome->kind->value}  {$outcome->requirement->terms->title}: {$outcome->measured} ({$outcome->points->awarded} of {$outcome->points->possible} points)";
        }
        $count = count($report->findings);
        $pages = count($report->reading->pages);
        $lines[] = "{$count} ".($count === 1 ? 'finding' : 'findings')." on {$pages} ".($pages === 1 ? 'page' : 'pages')
            .($report->outcomes === [] ? '' : ", {$report->score->awarded} of {$report->score->possible} points");

        return implode("\n", $lines)."\n";
    }
}
