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

/** An address with more `../` than there are folders above the file (RFC 3986, 5.4.2: what is above the root is ignored). Common practice. */
final readonly class OutsideSite extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct('link/outside-site', Weight::Fault, ProofMark::Change, 'An address climbs above the root of the site.');
    }

    protected function lookAt(Reference $reference, SiteReading $reading, Brief $brief, Expectations $expectations): ?Finding
    {
        if ($reference->target->verdict !== Verdict::OutsideSite) {
            return null;
        }
        $offer = self::offer($reference);

        return $this->at(
            $reference,
            "“{$reference->written}” climbs out of the site: there are not so many folders above this file.",
            $offer === null ? 'Take out each ../ that is too many.' : "From this file, type {$offer}.",
        );
    }
}
