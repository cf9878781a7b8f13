<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;

/** A page that does not say which language it is in (HTML Standard, 3.2.6.2; WCAG 2.2, 3.1.1). */
final readonly class MissingLang extends ElementRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/missing-lang',
            'Missing page language',
            Weight::Departure,
            ProofMark::Insert,
            'A page does not declare its language.',
            'Screen readers choose their voice by the language of the page. Browsers need it to '
                .'translate, to check spelling and to break words.',
            Citation::wcag('3.1.1 Language of Page', 'language-of-page'),
        ));
    }

    protected function concerns(string $name): bool
    {
        return $name === 'html';
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Draft
    {
        // XHTML's attribute says the same to whoever reads it.
        return trim($element->value('lang') ?? $element->value('xml:lang') ?? '') === ''
            ? Draft::at($page, $element)
                ->says('The page does not declare its language, so screen readers have to guess.')
                ->remedy('Add the language to the tag, such as `<html lang="en">` for English.')
            : null;
    }
}
