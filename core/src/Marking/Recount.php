<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Requirement\Award;
use InkedMargin\Core\Brief\Requirement\Loss;
use InkedMargin\Core\Source\TextMap;

/** What a requirement comes to once an instructor has rubbed findings out: what shows nothing costs nothing. */
final readonly class Recount
{
    /** @param  list<float>  $costs  points, one for each loss; 0 for what was rubbed out or follows from another */
    private function __construct(
        public OutcomeKind $kind,
        public float $points,
        public string $how,
        public array $costs,
    ) {
    }

    /**
     * @param  list<Loss>  $losses  all of the requirement; `counts` is false for one that follows from another
     * @param  list<string|null>  $findings  for each the fingerprint of the finding that shows it
     * @param  list<string>  $rubbedOut  fingerprints
     */
    public static function of(Award $award, array $losses, array $findings, array $rubbedOut): self
    {
        $gone = TextMap::of($rubbedOut);
        $stands = array_map(fn (?string $print) => $print === null || ! $gone->has($print), $findings);
        $counting = $there = [];
        foreach ($losses as $at => $loss) {
            $counting[] = new Loss($loss->item, $loss->share, $loss->counts && $stands[$at]);
            $there[] = new Loss($loss->item, $loss->share, $stands[$at]);
        }
        $worked = $award->worked($counting);

        return new self(
            OutcomeKind::of($award->worked($there)->share),
            $worked->points,
            $worked->how,
            $worked->costs,
        );
    }
}
