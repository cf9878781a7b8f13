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

/**
 * An address with more `../` than there are folders above the file (RFC 3986, 5.4.2: what is above the root is
 * ignored). Common practice.
 */
final readonly class OutsideSite extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/outside-site',
            'Path above the site',
            Weight::Fault,
            ProofMark::Change,
            'An address leads out of the site’s folder.',
            'Each `../` goes up one folder. Above the folder of your site there is nothing that you '
                .'handed in, so the link is broken for everybody else.',
            Citation::rfc(3986, '5.2.4', 'Remove Dot Segments'),
        ));
    }

    protected function resolution(): Resolution
    {
        return Resolution::OutsideSite;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        $offer = self::offer($reference);

        return Draft::atAddress($reference)
            ->says("`{$reference->written}` leads out of your site: "
                .'it has more `../` than there are folders above this file.')
            ->remedy($offer === null ? 'Remove each `../` that is too many.' : "Type $offer.")
            ->mend(self::changeTo($reference, $reference->target->candidates[0] ?? null));
    }
}
