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
 * A file address, a drive letter, a share, backslashes, or a host of the author's own network (RFC 6761, RFC 1918;
 * common practice).
 */
final readonly class LocalPath extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/local-path',
            'Path on your computer',
            Weight::Fault,
            ProofMark::Change,
            'An address names a place on the author’s own computer.',
            'Only your computer has this drive or folder. For everybody else the link is broken, and '
                .'it shows them how your folders are named.',
            Citation::rfc(8089, '2', 'Syntax'),
        ));
    }

    protected function resolution(): Resolution
    {
        return Resolution::LocalPath;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        $offer = self::offer($reference);
        $isBackslash = str_contains($reference->written, '\\')
            && preg_match('~^(?:file:|[A-Za-z]:|\\\\\\\\)~i', $reference->written) !== 1;

        return Draft::atAddress($reference)
            ->variant($isBackslash ? 'backslash' : 'own-computer')
            ->says($isBackslash
                ? "`{$reference->written}` has backslashes (`\\`); in addresses, folders are separated by `/`."
                : "`{$reference->written}` is a place on your own computer, so nobody else can open it.")
            ->remedy($offer === null
                ? 'Put the file into your site, and type its path from this file.'
                : "Type $offer.")
            ->mend(self::changeTo($reference, $reference->target->candidates[0] ?? null));
    }
}
