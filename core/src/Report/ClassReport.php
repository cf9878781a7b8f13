<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Finding\Weight;

/** The sites of a class, a line each, and what is most common among them. */
final readonly class ClassReport
{
    private const MAX_COMMON = 10;

    /** @param  list<ClassLine>  $lines */
    public function __construct(public array $lines)
    {
    }

    /** Whether every site was checked, and nothing but advice was found. */
    public function isClean(): bool
    {
        foreach ($this->lines as $line) {
            if (
                $line->problem !== null
                || $line->count(Weight::Fault->value) + $line->count(Weight::Departure->value) > 0
            ) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, int> the number of sites by rule, the commonest first */
    public function commonest(): array
    {
        $counts = array_count_values(array_merge(...array_map(fn (ClassLine $line) => $line->rules, $this->lines)));
        ksort($counts);
        arsort($counts);

        return array_slice($counts, 0, self::MAX_COMMON, true);
    }

    public function table(): string
    {
        $rows = [['site', 'student', 'points', 'faults', 'departures', 'advice', 'not met']];
        foreach ($this->lines as $line) {
            $rows[] = $line->problem === null
                ? [
                    $line->site,
                    $line->name === '' ? '-' : $line->name,
                    $line->possible > 0 ? "$line->awarded of $line->possible" : '-',
                    (string) $line->count(Weight::Fault->value),
                    (string) $line->count(Weight::Departure->value),
                    (string) $line->count(Weight::Tidy->value),
                    implode(', ', $line->unmet),
                ]
                : [$line->site, $line->name === '' ? '-' : $line->name, $line->problem];
        }
        $widths = [];
        foreach ($rows as $row) {
            // What comes last in its line takes what room there is.
            foreach (array_slice($row, 0, -1) as $at => $cell) {
                $widths[$at] = max($widths[$at] ?? 0, mb_strwidth($cell));
            }
        }
        $text = '';
        foreach ($rows as $row) {
            $padded = [];
            foreach ($row as $at => $cell) {
                $padded[] = $at === count($row) - 1
                    ? $cell
                    : $cell.str_repeat(' ', max(0, ($widths[$at] ?? 0) - mb_strwidth($cell)));
            }
            $text .= rtrim(implode('  ', $padded))."\n";
        }
        $common = $this->commonest();
        foreach ($common as $rule => $sites) {
            $text .= ($rule === array_key_first($common) ? "\nMost common:\n" : '').sprintf(
                "  %3d of %d  %s\n",
                $sites,
                count($this->lines),
                $rule,
            );
        }

        return $text;
    }

    /** RFC 4180. */
    public function csv(): string
    {
        $rows = [[
            'site', 'handle', 'name', 'awarded', 'possible', 'faults', 'departures', 'tidy', 'not met', 'problem',
        ]];
        foreach ($this->lines as $line) {
            $rows[] = [
                $line->site, $line->handle, $line->name, (string) $line->awarded, (string) $line->possible,
                ...array_map(
                    fn (Weight $weight) => $line->problem === null ? (string) $line->count($weight->value) : '',
                    Weight::cases(),
                ),
                implode('; ', $line->unmet), (string) $line->problem,
            ];
        }

        return Csv::of($rows);
    }

    public function json(): string
    {
        return Json::text([
            'sites' => array_map(fn (ClassLine $line) => [
                'site' => $line->site,
                'handle' => $line->handle === '' ? null : $line->handle,
                'name' => $line->name === '' ? null : $line->name,
                'awarded' => $line->awarded,
                'possible' => $line->possible,
                'findings' => (object) $line->weights,
                'notMet' => $line->unmet,
                'problem' => $line->problem,
            ], $this->lines),
            'commonest' => (object) $this->commonest(),
        ]);
    }
}
