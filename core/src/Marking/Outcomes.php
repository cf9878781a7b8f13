<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Requirement\AssessedByFindings;
use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Award;
use InkedMargin\Core\Brief\Requirement\MissingPage;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\Subject;

/** What the requirements of a brief come to, and the findings that show it. */
final readonly class Outcomes
{
    /** Rules that tell of a page that is not there, or of a file that is none. */
    private const TELL_OF_PAGES = [
        'file/missing', 'file/no-home', 'file/wrong-type', 'file/empty', 'file/unreadable', 'brief/files',
    ];

    /**
     * @param  array<int, Shortfall>  $shared  shortfalls that follow from another, by object id
     * @param  array<int, string>  $prints  fingerprints by the object id of their finding, in the order of the report
     */
    private function __construct(
        private Examination $exam,
        private Causes $causes,
        private Fold $folded,
        private array $shared,
        private array $prints,
    ) {
    }

    /**
     * @param  array<int, Shortfall>  $shared  shortfalls that follow from another, by object id
     * @param  list<PlacedFinding>  $placed
     * @return list<Outcome> in the order of the brief
     */
    public static function of(
        Examination $exam,
        Causes $causes,
        Fold $folded,
        array $shared,
        array $placed,
    ): array {
        $prints = [];
        foreach ($placed as $one) {
            $prints[spl_object_id($one->finding)] = $one->fingerprint;
        }

        return (new self($exam, $causes, $folded, $shared, $prints))->all();
    }

    /** @return list<Outcome> */
    private function all(): array
    {
        $requirements = $this->exam->brief->requirements;
        $assessments = array_map($this->assessment(...), $requirements);
        $shown = array_map(
            fn (Assessment $one) => array_map($this->shown(...), $one->shortfalls),
            $assessments,
        );
        $follows = Attribution::of($requirements, $assessments, $shown, $this->shared);

        return array_map($this->outcome(...), $requirements, $assessments, $shown, $follows);
    }

    private function assessment(Requirement $requirement): Assessment
    {
        $assessment = $this->exam->assessment($requirement);
        if (! $requirement instanceof AssessedByFindings || ! $assessment->canBeJudged) {
            return $assessment;
        }
        $site = $this->exam->site;
        $own = array_values(array_filter(
            $assessment->shortfalls,
            fn (Shortfall $one) => ! $one->isMissingPage && $one->draft->variant !== MissingPage::NONE,
        ));
        $claimed = array_values(
            array_filter($this->folded->findings, fn (Finding $one) => $requirement->claims($one, $site)),
        );

        return $this->exam->withMissingPages($requirement, $requirement->assessFindings($site, $claimed, $own));
    }

    /** The finding that shows a shortfall, as it stands in the report. */
    private function shown(Shortfall $shortfall): ?Finding
    {
        if ($shortfall->finding !== null) {
            return $this->folded->shownAs($shortfall->finding);
        }
        $told = $this->exam->findingOf($shortfall);
        $root = $told === null ? null : $this->causes->rootOf($told);
        foreach ($shortfall->isMissingPage ? [...$shortfall->draft->subjects, Subject::pages()] : [] as $subject) {
            $root ??= $this->causes->about($subject, self::TELL_OF_PAGES);
        }

        return $root === null ? null : $this->folded->shownAs($root);
    }

    /**
     * @param  list<Finding|null>  $shown  what shows each shortfall
     * @param  list<string|null>  $follows  the requirement that each follows from
     */
    private function outcome(Requirement $requirement, Assessment $assessment, array $shown, array $follows): Outcome
    {
        $award = Award::of($requirement->terms, $assessment);
        if (count($assessment->shortfalls) <= $assessment->allowed) {
            // What the brief allows is nothing that it is short of.
            $assessment = $assessment->withoutShortfalls();
            $shown = $follows = [];
        }
        $losses = array_map(
            fn (Shortfall $one, ?string $from) => $one->loss($from === null),
            $assessment->shortfalls,
            $follows,
        );
        $worked = $award->worked($losses);
        $reasons = array_map(
            fn (Shortfall $one, float $cost, ?Finding $finding, ?string $from) => new Reason(
                $one,
                $cost,
                $finding === null ? null : $this->prints[spl_object_id($finding)] ?? null,
                $from,
            ),
            $assessment->shortfalls,
            $worked->costs,
            $shown,
            $follows,
        );
        $ids = array_fill_keys(array_map(spl_object_id(...), array_filter($shown)), true);

        return new Outcome(
            $requirement,
            OutcomeKind::of($assessment->met()),
            $assessment->measured,
            $assessment->expected,
            new Points($assessment->isJudged() ? $worked->points : 0.0, $award->points, $worked->how),
            array_values(array_intersect_key($this->prints, $ids)),
            $reasons,
            $award,
        );
    }
}
