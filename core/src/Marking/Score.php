<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Scheme;
use InkedMargin\Core\Source\English;

/**
 * The points of one hand-in with the sum that made them: its lines add up to what is awarded, whatever happens on the
 * way. Never below zero nor above what is possible.
 */
final readonly class Score
{
    /** @param  list<ScoreLine>  $lines */
    private function __construct(public float $awarded, public float $possible, public array $lines)
    {
    }

    /**
     * @param  list<Earned>  $earned  in the order of the brief
     * @param  array<string, int>  $found  how many findings no requirement tells of, by their weight
     * @param  int  $minutesLate  after the due time; 0 when in time
     */
    public static function of(array $earned, Scheme $scheme = new Scheme, array $found = [], int $minutesLate = 0): self
    {
        $lines = array_values(array_filter(array_map(fn (Earned $one) => $one->line(), $earned)));
        $possible = round(array_sum(array_map(fn (ScoreLine $line) => $line->possible ?? 0.0, $lines)), 2);
        $lines = [...$lines, ...self::deductions($scheme, $found)];
        $late = self::late($scheme, $minutesLate, self::sum($lines));
        $lines = $late === null ? $lines : [...$lines, $late];
        foreach ([
            fn (float $sum) => $sum < 0.0 ? [0.0, 'Never below zero'] : [$sum, ''],
            fn (float $sum) => [min($scheme->rounded($sum), $possible), 'Rounding to '.$scheme->step],
        ] as $step) {
            $sum = self::sum($lines);
            [$after, $title] = $step($sum);
            if (abs($after - $sum) > 1e-6) {
                $lines[] = new ScoreLine($title, round($after - $sum, 4), "$sum becomes $after");
            }
        }

        return new self(self::sum($lines), $possible, $lines);
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
                $lines[] = new ScoreLine(
                    ucfirst($weight === 'tidy' ? $weight : "{$weight}s"),
                    -round($count * $off, 2),
                    English::count($count, 'finding')." that no requirement tells of, $off off for each",
                );
            }
        }
        $all = -self::sum($lines);
        if ($scheme->mostOff !== null && $all > $scheme->mostOff) {
            $lines[] = new ScoreLine(
                'No more than this is taken off',
                round($all - $scheme->mostOff, 4),
                "findings cost $all, and $scheme->mostOff at most",
            );
        }

        return $lines;
    }

    private static function late(Scheme $scheme, int $minutesLate, float $sum): ?ScoreLine
    {
        $days = $scheme->daysLate($minutesLate);
        $off = min($days * $scheme->offPerDay, max(0.0, $sum - $scheme->lateFloor));
        if ($off <= 0.0) {
            return null;
        }
        $floor = $off < $days * $scheme->offPerDay ? ", and none below $scheme->lateFloor" : '';

        return new ScoreLine(
            'Late',
            -round($off, 2),
            English::count($days, 'day')." begun, $scheme->offPerDay off for each$floor",
        );
    }

    /** @param  list<ScoreLine>  $lines */
    private static function sum(array $lines): float
    {
        return round(array_sum(array_map(fn (ScoreLine $line) => $line->points, $lines)), 4);
    }
}
