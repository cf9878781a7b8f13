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

/** An address that is right but for letter case, which most servers keep apart. Common practice. */
final readonly class LetterCase extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct('link/letter-case', Weight::Fault, ProofMark::Change, 'An address differs from the file’s name in letter case.');
    }

    protected function lookAt(Reference $reference, SiteReading $reading, Brief $brief, Expectations $expectations): ?Finding
    {
        $target = $reference->target;
        $spelling = $target->candidates[0] ?? null;
        if ($target->verdict !== Verdict::LetterCase || $spelling === null) {
            return null;
        }

        return $this->at(
            $reference,
            "“{$reference->written}” names {$target->path}, but the file is spelled {$spelling}. It works on some machines at home and fails on a server.",
            "Type {$reference->textFor($spelling)} here, or rename the file in small letters.",
        );
    }
}
