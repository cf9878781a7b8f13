<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Requirement\Award;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;

/** A requirement on one site: what it came to, in words and points, and the findings that show it. */
final readonly class Outcome
{
    /**
     * @param  list<string>  $findings  fingerprints of those that show it
     * @param  list<Reason>  $reasons  one for each thing that it is short of
     * @param  Award  $award  how the points follow from them
     */
    public function __construct(
        public Requirement $requirement,
        public OutcomeKind $kind,
        public string $measured,
        public string $expected,
        public Points $points,
        public array $findings,
        public array $reasons,
        public Award $award,
    ) {
    }

    /**
     * As it goes into the sum once findings are rubbed out.
     *
     * @param  list<string>  $rubbedOut  fingerprints
     */
    public function earnedWithout(array $rubbedOut): Earned
    {
        if ($rubbedOut === [] || $this->kind === OutcomeKind::NotJudged) {
            return $this->earned();
        }
        $recount = $this->recount($rubbedOut);

        return Earned::worked(
            $this->requirement->terms->id,
            $this->requirement->terms->title,
            $recount->kind,
            $recount->points,
            $this->points->possible,
            $recount->how,
        );
    }

    /** @param  list<string>  $rubbedOut  fingerprints */
    public function recount(array $rubbedOut): Recount
    {
        return Recount::of(
            $this->award,
            array_map(fn (Reason $one) => $one->shortfall->loss($one->follows === null), $this->reasons),
            array_map(fn (Reason $one) => $one->finding, $this->reasons),
            $rubbedOut,
        );
    }

    /** @return list<Shortfall> */
    public function shortfalls(): array
    {
        return array_map(fn (Reason $reason) => $reason->shortfall, $this->reasons);
    }

    /** As it goes into the sum. */
    public function earned(): Earned
    {
        return Earned::worked(
            $this->requirement->terms->id,
            $this->requirement->terms->title,
            $this->kind,
            $this->points->awarded,
            $this->points->possible,
            $this->points->how,
        );
    }
}
