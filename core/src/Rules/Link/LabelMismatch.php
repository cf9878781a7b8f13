<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/**
 * A label that names one page on the address of another: by file name, by what other links call it, by heading or
 * title. Silent when more than one page has that name. Common practice.
 */
final readonly class LabelMismatch extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'link/label-mismatch',
            Weight::Departure,
            ProofMark::Look,
            'A link says the name of one page and leads to another.',
        );
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->map()->links as $link) {
            $named = $exam->site->names()->pageNamedByLabel($link);
            if ($named === null) {
                continue;
            }
            $address = $link->reference->relativeUrlTo($named);
            yield $this->referenceFinding(
                $link->reference,
                "This link says “{$link->label}” but leads to `{$link->to()}`; the page with that name is `$named`.",
                "Type `href=\"$address\"`, or change the words.",
                mend: Mend::of(new Edit($link->reference->from, $link->reference->span, $address)),
                subjects: [Subject::way($link->from(), $named)],
            );
        }
    }
}
