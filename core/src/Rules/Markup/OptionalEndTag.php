<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Site\Page;

/** An end tag that may be left out, and was (HTML Standard, 13.1.2.4). Told once a page for each name. */
final readonly class OptionalEndTag extends ElementRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/optional-end-tag',
            'Omitted end tag',
            Weight::Tidy,
            ProofMark::Insert,
            'An end tag is left out where that is allowed.',
            'The standard allows it and browsers cope. Written out, end tags show where each element '
                .'ends, and make real mistakes easier to find.',
            Citation::html('Optional tags', 'syntax.html#optional-tags'),
            [
                'markup/content-model', 'markup/unclosed-element', 'markup/misnested', 'markup/parse-error',
                'markup/stray-end-tag',
            ],
        ));
    }

    protected function concerns(string $name): bool
    {
        return ! in_array($name, ['html', 'head', 'body'], true) && ElementTable::load()->mayOmitEndTag($name);
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Draft
    {
        return $element->endTag() !== null || $page->pairs->isCutShort($element) ? null : Draft::at($page, $element)
            ->says("This `<{$element->name}>` has no end tag. "
                .'That is allowed, but the page is easier to read with one.')
            ->remedy("Type `</{$element->name}>` where it ends.")
            ->causedBy(Subject::place($page->path(), $element->closedAt ?? 0))
            ->folded($element->name);
    }
}
