<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\CopySigns;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Consistency\LeftoverKind;

/** A heading that belongs to another page, left over from a copy. Common practice. */
final readonly class SameHeading extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/same-heading',
            'Repeated main heading',
            Weight::Departure,
            ProofMark::Change,
            'Two pages have the same heading.',
            'Two pages with one heading look like the same page, so people think that their click did '
                .'not work.',
            Citation::wcag('2.4.6 Headings and Labels', 'headings-and-labels'),
            ['content/title-not-heading', 'brief/headings'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach (CopySigns::in($exam, [LeftoverKind::Heading, LeftoverKind::Section]) as [$sign, $others]) {
            yield CopySigns::draft(
                $sign,
                $others,
                "“{$sign->words}” is also a heading of `{$sign->owner->path()}`; it looks left over from a "
                    .'copied page.',
                'Write a heading that says what is on this page.',
            )->variant($sign->kind === LeftoverKind::Heading ? 'main' : 'section');
        }
    }
}
