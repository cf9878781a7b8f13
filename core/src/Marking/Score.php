<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Scheme;
use InkedMargin\Core\Source\English;

/**
 * The points of one hand-in with the sum that made them: its lines add up to what is awarded, whatever happens on the
 * way. Everyone is marked out of the same total. Never below zero nor above it.
 */
final readonly class Score
{
    /**
     * @param  float  $possible  the sum of the brief, the same for all
     * @param  float  $judged  how much of it could be judged so far
     * @param  list<ScoreLine>  $lines
     */
    private function __construct(
        public float $awarded,
        public float $possible,
        public float $judged,
        public array $lines,
    ) {
    }

    /**
     * @param  list<Earned>  $earned  every requirement, in the order of the brief
     * @param  array<string, int>  $found  how many findings no requirement is about, by their weight
     * @param  int  $minutesLate  after the due time; 0 when in time
     */
    public static function of(array $earned, Scheme $scheme = new Scheme, array $found = [], int $minutesLate = 0): self
    {
        $sumOf = fn (array $some) => round(array_sum(array_map(fn (Earned $one) => $one->possible, $some)), 2);
        $possible = $sumOf($earned);
        $judged = $sumOf(array_filter($earned, fn (Earned $one) => $one->isJudged()));
        $lines = array_map(fn (Earned $one) => $one->line(), $earned);
        $lines = [...$lines, ...self::deductions($scheme, $found)];
        $late = self::late($scheme, $minutesLate, self::sum($lines), $possible);
        $lines = $late === null ? $lines : [...$lines, $late];
        $lines = self::rounded($lines, $scheme, $judged);

        return new self(self::sum($lines), $possible, $judged, $lines);
    }

    /**
     * @param  list<ScoreLine>  $lines
     * @return list<ScoreLine> with what keeps the sum from below zero, and what rounds it
     */
    private static function rounded(array $lines, Scheme $scheme, float $judged): array
    {
        foreach ([
            fn (float $sum) => $sum < 0.0 ? [0.0, 'Never below zero'] : [$sum, ''],
            fn (float $sum) => [min($scheme->rounded($sum), $judged), 'Rounding'],
        ] as $step) {
            $sum = self::sum($lines);
            [$after, $title] = $step($sum);
            if (abs($after - $sum) > 1e-6) {
                $lines[] = new ScoreLine($title, round($after - $sum, 4), "from $sum to $after");
            }
        }

        return $lines;
    }

    /** Points that wait for somebody's judgement. */
    public function open(): float
    {
        return round($this->possible - $this->judged, 2);
    }

    public function isProvisional(): bool
    {
        return $this->open() > 0.0;
    }

    /**
     * @param  array<string, int>  $found
     * @return list<ScoreLine>
     */
    private static function deductions(Scheme $scheme, array $found): array
    {
        $lines = [];
        foreach ($scheme->off as $weight => $off) {
            $count = $found[$weight] ?? 0;
            if ($count > 0) {
                $lines[] = self::deduction($weight, $count, $off);
            }
        }
        $all = -self::sum($lines);
        if ($scheme->mostOff !== null && $all > $scheme->mostOff) {
            $lines[] = new ScoreLine(
                'Limit for these',
                round($all - $scheme->mostOff, 4),
                "together they take off $scheme->mostOff at most",
            );
        }

        return $lines;
    }

    private static function deduction(string $weight, int $count, float $off): ScoreLine
    {
        $what = $weight === 'tidy' ? 'piece of advice' : $weight;

        return new ScoreLine(
            $weight === 'tidy' ? 'Advice' : ucfirst("{$weight}s"),
            -round($count * $off, 2),
            English::count($count, $what, $weight === 'tidy' ? 'pieces of advice' : null)
                ." that no requirement covers, $off off for each",
        );
    }

    private static function late(Scheme $scheme, int $minutesLate, float $sum, float $possible): ?ScoreLine
    {
        $days = $scheme->daysLate($minutesLate);
        $full = $scheme->offFor($days, $possible);
        $off = min($full, max(0.0, $sum - $scheme->lateFloor));
        if ($off <= 0.0) {
            return null;
        }
        $floor = $off < $full && $scheme->lateFloor > 0.0 ? ", but not below $scheme->lateFloor" : '';

        return new ScoreLine(
            'Late',
            -round($off, 2),
            English::count($days, 'day')." late, {$scheme->offInWords()} off for each$floor",
        );
    }

    /** @param  list<ScoreLine>  $lines */
    private static function sum(array $lines): float
    {
        return round(array_sum(array_map(fn (ScoreLine $line) => $line->points, $lines)), 4);
    }
}
