<?php

declare(strict_types=1);

namespace App\Briefs;

use App\Outcomes\OutcomeShortfall;
use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefWriter;
use InkedMargin\Core\Brief\ProposedBrief;
use InkedMargin\Core\Brief\ProposedRequirement;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\Reason;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;

/** Reads a brief that is being written, and tries it on a site. */
final readonly class DraftReader
{
    private const MAX_SHORTFALLS = 6;

    private const MAX_NAMES = 300;

    public static function read(ProposedBrief $draft, ?Site $site, Materials $materials): BriefReading
    {
        $check = fn (?Brief $brief) => $site === null || $brief === null
            ? null
            : Check::run($site, $brief, materials: $materials);
        $report = $check($draft->brief);
        $points = $draft->brief?->points() ?? 0.0;

        return new BriefReading(
            (object) $draft->values,
            BriefWriter::draft($draft),
            self::readings($draft->requirements, $report),
            self::readings($draft->proposed, $check($draft->proposal)),
            $draft->problems,
            $points,
            $report?->score->awarded,
            $report?->score->possible,
            $report?->score->open(),
            $site === null ? [] : self::names($report->site ?? ParsedSite::of($site)),
        );
    }

    /**
     * @param  list<ProposedRequirement>  $requirements
     * @return list<RequirementReading>
     */
    private static function readings(array $requirements, ?CheckReport $report): array
    {
        $outcomes = [];
        foreach ($report->outcomes ?? [] as $outcome) {
            $outcomes['id '.$outcome->requirement->terms->id] = $outcome;
        }
        $readings = [];
        foreach ($requirements as $one) {
            $id = 'id '.$one->requirement?->terms->id;
            $readings[] = self::reading($one, $outcomes[$id] ?? null);
            // A second requirement of the same name is none until it has one of its own.
            unset($outcomes[$id]);
        }

        return $readings;
    }

    private static function reading(ProposedRequirement $draft, ?Outcome $outcome): RequirementReading
    {
        return new RequirementReading(
            $draft->requirement?->sentence(),
            $draft->problems,
            $outcome->points->possible ?? $draft->requirement->terms->points ?? 0.0,
            $outcome?->kind,
            $outcome->measured ?? '',
            $outcome->expected ?? '',
            $outcome->points->awarded ?? 0.0,
            array_map(self::shortfall(...), array_slice($outcome->reasons ?? [], 0, self::MAX_SHORTFALLS)),
        );
    }

    private static function shortfall(Reason $reason): OutcomeShortfall
    {
        $shortfall = $reason->shortfall;

        return new OutcomeShortfall(
            $shortfall->draft->file,
            $shortfall->draft->source?->position($shortfall->draft->span->start)->line,
            $shortfall->draft->message,
            $reason->cost,
            $reason->finding,
            $reason->follows,
        );
    }

    /**
     * @return list<string> what a brief for such a site speaks of: its files, the elements, classes and ids on its
     *     pages
     */
    private static function names(ParsedSite $site): array
    {
        $names = array_fill_keys($site->files->paths(), true);
        foreach ($site->pages as $page) {
            foreach ($page->elements as $element) {
                $names[$element->name] = true;
                foreach ($element->classes() as $class) {
                    $names[".$class"] = true;
                }
                $id = $element->value('id');
                if ($id !== null) {
                    $names["#$id"] = true;
                }
            }
        }

        return array_slice(array_map(strval(...), array_keys($names)), 0, self::MAX_NAMES);
    }
}
