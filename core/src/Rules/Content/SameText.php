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

/** A paragraph or a description that belongs to another page. Common practice. */
final readonly class SameText extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/same-text',
            'Repeated text',
            Weight::Departure,
            ProofMark::Change,
            'Two pages have the same paragraph.',
            'People who meet the same paragraph again think that they are on the same page. Often it '
                .'is left over from copying a page.',
            Citation::practice(),
            ['content/placeholder', 'content/starter-unchanged', 'brief/text'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach (CopySigns::in($exam, [LeftoverKind::Paragraph, LeftoverKind::Description]) as [$sign, $others]) {
            $owner = $sign->owner->path();
            yield $sign->kind === LeftoverKind::Paragraph
                ? CopySigns::draft(
                    $sign,
                    $others,
                    "This paragraph is word for word the same on `$owner`; it looks left over from a copied page.",
                    'Write what belongs on this page.',
                )
                : CopySigns::draft(
                    $sign,
                    $others,
                    "The description of this page is that of `$owner`; it looks left over from a copied page.",
                    'Write in `content` what this page is about.',
                )->variant('description');
        }
    }
}
