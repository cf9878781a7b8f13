<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\CopySigns;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Consistency\LeftoverKind;

/** Two pages with one title: the slip of whoever copied a page to begin the next. Common practice; WCAG 2.2, 2.4.2. */
final readonly class SameTitle extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/same-title',
            'Repeated page title',
            Weight::Departure,
            ProofMark::Change,
            'Two pages have the same title.',
            'Two pages with one title cannot be told apart in tabs, bookmarks and search results.',
            Citation::wcag('2.4.2 Page Titled', 'page-titled'),
            ['content/default-title'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach (CopySigns::in($exam, [LeftoverKind::Title]) as [$sign, $others]) {
            yield CopySigns::draft($sign, $others, Titles::messageOfRepeated($sign), Titles::REPEATED_REMEDY);
        }
    }
}
