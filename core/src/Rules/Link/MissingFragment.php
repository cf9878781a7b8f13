<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\Nav\Expectations;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Site\Verdict;
use InkedMargin\Core\Source\NearestName;

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
        $nearest = NearestName::of((string) $target->fragment, array_filter(array_map(fn (Element $element) => $element->value('id') ?? '', $reading->pages[$target->found]->elements ?? []), fn (string $id) => $id !== ''));

        return $this->at(
            $reference,
            "“{$reference->written}” looks for the place “{$target->fragment}”, and nothing on {$target->found} has that id.",
            $nearest === null ? "Write id=\"{$target->fragment}\" into the tag that is meant." : "Type #{$nearest} at the end, if that is meant, or write id=\"{$target->fragment}\" into the tag that is.",
        );
    }
}
