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

/** The address of another site without `https://`, which makes it a file name (URL Standard, 4.3). Common practice. */
final readonly class MissingScheme extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct('link/missing-scheme', Weight::Fault, ProofMark::Insert, 'The address of another site lacks its scheme.');
    }

    protected function lookAt(Reference $reference, SiteReading $reading, Brief $brief, Expectations $expectations): ?Finding
    {
        if ($reference->target->verdict !== Verdict::MissingScheme) {
            return null;
        }

        return $this->at(
            $reference,
            "“{$reference->written}” is looked for as a file of this site, as nothing says that it is another site.",
            "Type https://{$reference->written}.",
        );
    }
}
