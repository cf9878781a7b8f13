<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\Resolution;

/**
 * An address that differs from the file's name in letter case alone, which most servers tell apart. Common practice.
 */
final readonly class LetterCase extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct(
            'link/letter-case',
            Weight::Fault,
            ProofMark::Change,
            'An address differs from the file’s name in letter case.',
            ['file/name'],
        );
    }

    protected function resolution(): Resolution
    {
        return Resolution::LetterCase;
    }

    protected function checkReference(Reference $reference, Examination $exam): Finding
    {
        $spelling = $reference->target->candidates[0];
        $address = $reference->relativeUrlTo($spelling);
        $wanted = $reference->target->path;

        return $this->referenceFinding(
            $reference,
            "`{$reference->written}` and the file name `$spelling` differ in letter case: this may work on your "
                .'computer, but it fails on a server.',
            'Type '.self::written($reference, $address).'.',
            mend: self::changeTo($reference, $spelling),
            // A file with capitals in its name, which the links write without, is the one to rename.
            causes: $wanted === mb_strtolower($spelling) ? [Subject::file($spelling)] : [],
        );
    }
}
