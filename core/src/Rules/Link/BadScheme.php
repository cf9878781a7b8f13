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

/** A link whose scheme, or what belongs behind it, is wrong: `mailto:`, `tel:`, `htpts:`, `http://https://`. */
final readonly class BadScheme extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/bad-scheme',
            'Wrong link scheme',
            Weight::Fault,
            ProofMark::Change,
            'A link that begins with a scheme such as `mailto:`, and that no program can follow.',
            'The scheme tells the browser which program opens the link. With a wrong one, a click does nothing or '
                .'opens a wrong address.',
            Citation::rfc(6068, '2', 'Syntax of a mailto URI'),
        ));
    }

    protected function resolution(): Resolution
    {
        return Resolution::BadScheme;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        $fault = $reference->target->scheme;
        $mended = $fault?->mended;

        return Draft::atAddress($reference)
            ->variant($fault->variant ?? '')
            ->says($fault->message ?? '')
            ->remedy($mended === null
                ? 'Type the address that belongs here.'
                : 'Type '.self::written($reference, $mended).'.')
            ->mend($mended === null ? null : self::rewrite($reference, $mended))
            ->folded("scheme {$reference->written}");
    }
}
