<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\Resolution;

/** A fragment that is the id, or the name of an `a`, of nothing on its page (HTML Standard, 7.4.6.3). */
final readonly class MissingFragment extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/missing-fragment',
            'Missing link target',
            Weight::Departure,
            ProofMark::Change,
            'A link leads to a place on a page that does not exist.',
            'The browser opens the page, finds no element with that id, and stays at the top. Readers '
                .'have to look for the place themselves.',
            Citation::html('Scrolling to a fragment', 'browsing-the-web.html#scrolling-to-a-fragment'),
            ['markup/bad-attribute-value'],
        ));
    }

    protected function resolution(): Resolution
    {
        return Resolution::MissingFragment;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        $target = $reference->target;
        $near = $target->nearestFragment;
        $mended = $near === null ? null : preg_replace('/#.*$/s', '#'.rawurlencode($near), $reference->written);

        return Draft::atAddress($reference)
            ->says("Nothing on `{$target->found}` has the id `{$target->fragment}`.")
            ->remedy($near === null
                ? "Add `id=\"{$target->fragment}\"` to the tag that this link should lead to."
                : "If `$near` is meant, type `#$near`. Otherwise add `id=\"{$target->fragment}\"` to the tag.")
            ->mend($mended === null ? null : self::rewrite($reference, $mended));
    }
}
