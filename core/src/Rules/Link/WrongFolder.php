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

/** An address with the right file name on the wrong path: mostly `../` missing, or one too many. Common practice. */
final readonly class WrongFolder extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct('link/wrong-folder', Weight::Fault, ProofMark::Change, 'An address looks for a file in another folder than the one it stands in.');
    }

    protected function lookAt(Reference $reference, SiteReading $reading, Brief $brief, Expectations $expectations): ?Finding
    {
        $target = $reference->target;
        if ($target->verdict !== Verdict::WrongFolder) {
            return null;
        }

        return $this->at(
            $reference,
            "“{$reference->written}” leads to {$target->path}, where nothing is; {$target->candidates[0]} is in the site.",
            'From this file, type '.self::offer($reference).'.',
        );
    }
}
