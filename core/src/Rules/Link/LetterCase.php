<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
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
        parent::__construct(new RuleFacts(
            'link/letter-case',
            'Letter case in a link',
            Weight::Fault,
            ProofMark::Change,
            'An address differs from the file’s name in letter case.',
            'Most servers treat capitals and small letters as different. The link works on your '
                .'computer and breaks when the site is published.',
            Citation::rfc(3986, '6.2.2.1', 'Case Normalization'),
            ['file/name'],
        ));
    }

    protected function resolution(): Resolution
    {
        return Resolution::LetterCase;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        $spelling = $reference->target->candidates[0];
        $address = $reference->relativeUrlTo($spelling);
        $wanted = $reference->target->path;

        return Draft::atAddress($reference)
            ->says("`{$reference->written}` and the file name `$spelling` differ in letter case: this may work on your "
                .'computer, but it fails on a server.')
            ->remedy('Type '.self::written($reference, $address).'.')
            ->mend(self::changeTo($reference, $spelling))
            ->causedBy(...($wanted === mb_strtolower($spelling) ? [Subject::file($spelling)] : []));
    }
}
