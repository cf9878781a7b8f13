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

/** An address with the right file name on the wrong path: mostly `../` missing, or one too many. Common practice. */
final readonly class WrongFolder extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/wrong-folder',
            'Wrong folder in link',
            Weight::Fault,
            ProofMark::Change,
            'An address looks for a file in the wrong folder.',
            'A path starts in the folder of the file that it is written in. With one folder too many '
                .'or too few, the browser asks for a file that is not there.',
            Citation::rfc(3986, '5.2', 'Relative Resolution'),
            ['file/missing'],
        ));
    }

    protected function resolution(): Resolution
    {
        return Resolution::WrongFolder;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        $target = $reference->target;

        return Draft::atAddress($reference)
            ->says($reference->written === $target->path
                ? "There is no `{$target->path}` in this folder; the file is `{$target->candidates[0]}`."
                : "`{$reference->written}` leads to `{$target->path}`, but the file is `{$target->candidates[0]}`.")
            ->remedy('From this file, type '.self::offer($reference).'.')
            ->mend(self::changeTo($reference, $target->candidates[0]))
            ->causedBy(Subject::file((string) $target->path));
    }
}
