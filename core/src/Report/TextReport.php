<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Marking\Points;
use InkedMargin\Core\Source\English;

/**
 * A report as text for a person at a terminal: a summary, then the findings by weight and place, then the requirements.
 */
final readonly class TextReport
{
    /** SGR codes (ECMA-48, 8.3.117): bold for faults, plain for departures, faint for advice. */
    private const STYLES = ['fault' => '1', 'departure' => '4', 'tidy' => '2'];

    private const MAX_SHORTFALLS = 5;

    /**
     * @param  list<Weight>  $weights  of the findings that are shown
     * @param  bool  $isColoured  whether the terminal understands escape sequences
     */
    public function __construct(
        private array $weights = [Weight::Fault, Weight::Departure, Weight::Tidy],
        private bool $isColoured = false,
    ) {
    }

    public function render(CheckReport $report): string
    {
        $lines = [self::summary($report)];
        foreach ($this->weights as $weight) {
            $found = array_values(
                array_filter($report->findings, fn (PlacedFinding $placed) => $placed->finding->weight === $weight),
            );
            if ($found !== []) {
                $lines[] = '';
                $lines[] = $this->styled($weight, ucfirst($weight->count(count($found))));
            }
            foreach ($found as $placed) {
                array_push($lines, ...$this->finding($placed));
            }
        }
        if ($report->outcomes !== []) {
            array_push(
                $lines,
                '',
                'Requirements',
                ...array_merge(...array_map($this->outcome(...), $report->outcomes)),
            );
            foreach ($report->score->lines as $line) {
                if ($line->requirement === null) {
                    $lines[] = "  $line->points points  $line->title: $line->how";
                }
            }
        }

        return implode("\n", array_map(self::printable(...), $lines))."\n";
    }

    private static function summary(CheckReport $report): string
    {
        $counts = array_map(fn (Weight $weight) => $weight->count($report->count($weight)), Weight::cases());
        $points = $report->outcomes === []
            ? ''
            : ', '.self::points(new Points($report->score->awarded, $report->score->possible))
                .($report->score->isProvisional() ? ", {$report->score->open()} of them not judged yet" : '');

        return "{$report->site->files->name}: ".English::count(
            count($report->site->pages),
            'page',
        ).', '.implode(', ', $counts).$points;
    }

    /** @return list<string> */
    private function finding(PlacedFinding $placed): array
    {
        $finding = $placed->finding;
        $place = $placed->end->offset === 0
            ? $finding->file
            : "{$finding->file}:{$placed->start->line}:{$placed->start->column}";

        $lines = ["  $place  ".$this->styled($finding->weight, $finding->kind()), "      {$finding->message}"];

        return $finding->remedy === '' ? $lines : [...$lines, "      {$finding->remedy}"];
    }

    /** @return list<string> */
    private function outcome(Outcome $outcome): array
    {
        $lines = [
            "  {$outcome->kind->words()}  {$outcome->requirement->terms->title}: {$outcome->measured} "
                ."(expected: {$outcome->expected}), ".self::points($outcome->points),
        ];
        foreach (array_slice($outcome->reasons, 0, self::MAX_SHORTFALLS) as $reason) {
            $cost = match (true) {
                $reason->follows !== null => " (follows from $reason->follows)",
                $reason->cost > 0.0 => " (-$reason->cost)",
                default => '',
            };
            $lines[] = '      '.self::place($reason->shortfall)."  {$reason->shortfall->draft->message}$cost";
        }
        $more = count($outcome->reasons) - self::MAX_SHORTFALLS;

        return $more > 0 ? [...$lines, "      and $more more"] : $lines;
    }

    private static function place(Shortfall $shortfall): string
    {
        $position = $shortfall->draft->source?->position($shortfall->draft->span->start);

        return $position === null || $position->offset === 0
            ? $shortfall->draft->file
            : "{$shortfall->draft->file}:{$position->line}";
    }

    private static function points(Points $points): string
    {
        return "{$points->awarded} of ".English::count($points->possible, 'point');
    }

    private function styled(Weight $weight, string $text): string
    {
        return $this->isColoured ? "\e[".self::STYLES[$weight->value]."m$text\e[0m" : $text;
    }

    /**
     * File names and text of students are not trusted with a terminal: their control characters are shown, and not
     * obeyed.
     */
    private static function printable(string $line): string
    {
        return preg_replace_callback(
            '/\e\[[0-9]+m(*SKIP)(*FAIL)|[\x00-\x08\x0b-\x1f\x7f]/',
            fn (array $control) => sprintf('\x%02x', ord($control[0])),
            $line,
        ) ?? $line;
    }
}
