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

/** An address with the right file name on the wrong path: mostly `../` missing, or one too many. Common practice. */
final readonly class WrongFolder extends ReferenceRule
{
    public function __construct()
    {
        parent::__construct(
            'link/wrong-folder',
            Weight::Fault,
            ProofMark::Change,
            'An address looks for a file in the wrong folder.',
            ['file/missing'],
        );
    }

    protected function resolution(): Resolution
    {
        return Resolution::WrongFolder;
    }

    protected function checkReference(Reference $reference, Examination $exam): Finding
    {
        $target = $reference->target;

        return $this->referenceFinding(
            $reference,
            $reference->written === $target->path
                ? "There is no `{$target->path}` in this folder; the file is `{$target->candidates[0]}`."
                : "`{$reference->written}` leads to `{$target->path}`, but the file is `{$target->candidates[0]}`.",
            'From this file, type '.self::offer($reference).'.',
            mend: self::changeTo($reference, $target->candidates[0]),
            causes: [Subject::file((string) $target->path)],
        );
    }
}
