<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Site\Verdict;

/** An address that resolves inside the site (URL Standard, 4.4) to a file that is not there. */
final readonly class MissingTarget extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct('link/missing-file', Weight::Fault, ProofMark::Change, 'An address leads to a file that is not in the site.');
    }

    protected function lookAt(Reference $reference, SiteReading $reading): ?Finding
    {
        $target = $reference->target;
        if ($target->verdict !== Verdict::MissingFile) {
            return null;
        }
        $offer = self::offer($reference);

        return $this->at(
            $reference,
            "“{$reference->written}” leads to {$target->path}, and there is no such file in the site.",
            $offer === null ? "Add the file {$target->path}, or link to one that is there." : "If this is meant, type {$offer} here.",
        );
    }
}
