<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;

/** A title with nothing in it (HTML Standard, 4.2.2). */
final readonly class EmptyTitle extends ElementRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/empty-title',
            'Empty page title',
            Weight::Fault,
            ProofMark::Insert,
            'A title is empty.',
            'The title is what people see in the tab, in bookmarks and in search results. An empty '
                .'one leaves them with an address.',
            Citation::html('The title element', 'semantics.html#the-title-element'),
        ));
    }

    protected function concerns(string $name): bool
    {
        return $name === 'title';
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Draft
    {
        return trim($element->text()) === ''
            ? Draft::at($page, $element)
                ->span($element->span())
                ->says(Titles::BLANK)
                ->remedy(Titles::BLANK_REMEDY)
            : null;
    }
}
