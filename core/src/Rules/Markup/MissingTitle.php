<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A page without a `title` element (HTML Standard, 4.2.1 and 4.2.2). */
final readonly class MissingTitle extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/missing-title',
            'Missing page title',
            Weight::Fault,
            ProofMark::Insert,
            'A page has no title.',
            'The title is what people see in the tab, in bookmarks and in search results. Without it '
                .'they see only an address.',
            Citation::html('The title element', 'semantics.html#the-title-element'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            if ($page->title() === null) {
                yield Titles::draftOfMissing($page);
            }
        }
    }
}
