<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\Nav\Expectations;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Site\Verdict;

/** A fragment that is the id, or the name of an `a`, of nothing in its page (HTML Standard, 7.4.6.3). */
final readonly class MissingFragment extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct('link/missing-fragment', Weight::Departure, ProofMark::Change, 'A link leads to a place on a page that is not there.');
    }

    protected function lookAt(Reference $reference, SiteReading $reading, Brief $brief, Expectations $expectations): ?Finding
    {
        $target = $reference->target;
        if ($target->verdict !== Verdict::MissingFragment) {
            return null;
        }

        return $this->at(
            $reference,
            "“{$reference->written}” looks for the place “{$target->fragment}”, and nothing on {$target->found} has that id.",
            $target->nearestFragment === null ? "Write id=\"{$target->fragment}\" into the tag that is meant." : "Type #{$target->nearestFragment} at the end, if that is meant, or write id=\"{$target->fragment}\" into the tag that is.",
        );
    }
}
