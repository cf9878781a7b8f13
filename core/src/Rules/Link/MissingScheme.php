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

/** The address of another site without `https://`, which makes it a file name (URL Standard, 4.3). Common practice. */
final readonly class MissingScheme extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/missing-scheme',
            'Missing https://',
            Weight::Fault,
            ProofMark::Insert,
            'The address of another site does not start with https://.',
            'Without `https://` the browser looks for a file of your own site with that name. '
                .'Visitors get an error page.',
            Citation::url('URL writing', 'url-writing'),
        ));
    }

    protected function resolution(): Resolution
    {
        return Resolution::MissingScheme;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        $address = 'https://'.trim($reference->written);

        return Draft::atAddress($reference)
            ->says("Browsers look for `{$reference->written}` as a file of your site, because `https://` is missing.")
            ->remedy('Type '.self::written($reference, $address).'.')
            ->mend(self::rewrite($reference, $address));
    }
}
