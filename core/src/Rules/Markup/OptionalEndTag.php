<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
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
        parent::__construct(
            'markup/optional-end-tag',
            Weight::Tidy,
            ProofMark::Insert,
            'An end tag is left out where that is allowed.',
            [
                'markup/content-model', 'markup/unclosed-element', 'markup/misnested', 'markup/parse-error',
                'markup/stray-end-tag',
            ],
        );
    }

    protected function concerns(string $name): bool
    {
        return ! in_array($name, ['html', 'head', 'body'], true) && ElementTable::load()->mayOmitEndTag($name);
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Finding
    {
        return $element->endTag() !== null || $page->pairs->isCutShort($element) ? null : $this->elementFinding(
            $page,
            $element,
            "This `<{$element->name}>` has no end tag. That is allowed, but the page is easier to read with one.",
            "Type `</{$element->name}>` where it ends.",
            causes: [Subject::place($page->path(), $element->closedAt ?? 0)],
            fold: $element->name,
        );
    }
}
