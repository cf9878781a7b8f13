<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\JudgedByFindings;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Collector;

/** The one entry point: a site and a brief in, a report out. The same input gives the same report. */
final readonly class Check
{
    /** Changes whenever the same input may give another report. */
    public const ENGINE = '0.4.0';

    /** @param  \Closure(int, int): void|null  $progress told how many steps of how many are done: one a page, one a rule */
    public static function run(Site $site, Brief $brief, ?\Closure $progress = null): CheckReport
    {
        return Collector::paused(fn () => self::report($site, $brief, $progress));
    }

    /** @param  \Closure(int, int): void|null  $progress */
    private static function report(Site $site, Brief $brief, ?\Closure $progress): CheckReport
    {
        $progress ??= static function (int $done, int $of): void {
        };
        $rules = Catalogue::rules();
        $pages = 0;
        $reading = SiteReading::of($site, function (int $done, int $of) use ($progress, $rules, &$pages): void {
            $progress($done, ($pages = $of) + count($rules));
        });
        $findings = [];
        foreach ($rules as $done => $rule) {
            foreach ($rule->look($reading, $brief) as $finding) {
                $findings[] = $finding;
            }
            $progress($pages + $done + 1, $pages + count($rules));
        }
        $placed = self::place($findings);
        $outcomes = array_map(fn (Requirement $requirement) => self::outcome($requirement, $reading, $placed), $brief->requirements);

        return new CheckReport($reading, $brief, $placed, $outcomes, Points::sum(array_map(fn (Outcome $outcome) => $outcome->points, $outcomes)));
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<PlacedFinding>
     */
    private static function place(array $findings): array
    {
        usort($findings, fn (Finding $a, Finding $b) => [$a->file, $a->span->start, $a->rule, $a->span->end, $a->anchor]
            <=> [$b->file, $b->span->start, $b->rule, $b->span->end, $b->anchor]);
        $alike = [];
        $placed = [];
        foreach ($findings as $finding) {
            $nth = $alike[$finding->fingerprint()] = ($alike[$finding->fingerprint()] ?? 0) + 1;
            $placed[] = PlacedFinding::of($finding, $finding->fingerprint($nth));
        }

        return $placed;
    }

    /** @param  list<PlacedFinding>  $findings */
    private static function outcome(Requirement $requirement, SiteReading $reading, array $findings): Outcome
    {
        $terms = $requirement->terms;
        $showing = array_filter($findings, fn (PlacedFinding $placed) => $placed->finding->requirement === $terms->id
            || ($requirement instanceof JudgedByFindings && $requirement->claims($placed->finding->rule, $placed->finding->weight->value, $placed->finding->file)));
        $judgement = $requirement instanceof JudgedByFindings
            ? $requirement->judgeBy(array_count_values(array_map(fn (PlacedFinding $placed) => $placed->finding->file, $showing)), $reading)
            : $requirement->judge($reading);

        return new Outcome(
            $requirement,
            OutcomeKind::of($judgement->met),
            $judgement->measured,
            $judgement->expected,
            new Points(round($terms->points * $terms->credit->of($judgement->met ?? 0.0), 2), $terms->points),
            array_values(array_map(fn (PlacedFinding $placed) => $placed->fingerprint, $showing)),
        );
    }
}
