<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Requirement\Portions;
use InkedMargin\Core\Brief\Scheme;
use InkedMargin\Core\Source\TextMap;

/** What each finding of a report costs: in the requirements that it shows something of, or by its weight. */
final readonly class FindingCosts
{
    /** @return TextMap<float> points by fingerprint; none for one that costs nothing */
    public static function of(CheckReport $report): TextMap
    {
        $costs = self::ofReasons($report);
        $free = $report->free();
        $off = self::byWeight(
            array_map(fn (PlacedFinding $one) => $one->finding->weight->value, $free),
            $report->brief->scheme,
        );
        foreach ($free as $at => $placed) {
            if ($off[$at] > 0.0) {
                $costs->put($placed->fingerprint, $off[$at]);
            }
        }

        return $costs;
    }

    /** @return TextMap<float> points by the fingerprint of the finding */
    private static function ofReasons(CheckReport $report): TextMap
    {
        /** @var TextMap<float> $costs */
        $costs = new TextMap;
        foreach ($report->outcomes as $outcome) {
            foreach ($outcome->kind === OutcomeKind::NotJudged ? [] : $outcome->reasons as $reason) {
                if ($reason->finding !== null && $reason->cost > 0.0) {
                    $print = $reason->finding;
                    $costs->put($print, round(($costs->get($print) ?? 0.0) + $reason->cost, 2));
                }
            }
        }

        return $costs;
    }

    /**
     * What findings cost that no requirement is about.
     *
     * @param  list<string>  $weights  one for each
     * @return list<float> points, one for each; they add up to what is taken off
     */
    public static function byWeight(array $weights, Scheme $scheme): array
    {
        $off = array_map(fn (string $weight) => $scheme->off[$weight] ?? 0.0, $weights);
        $all = array_sum($off);

        return Portions::of($scheme->mostOff === null ? $all : min($all, $scheme->mostOff), $off);
    }
}
