<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;

/** A page that does not say which language it is in (HTML Standard, 3.2.6.2; WCAG 2.2, 3.1.1). */
final readonly class MissingLang extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/missing-lang', Weight::Departure, ProofMark::Insert, 'A page does not say which language it is in.');
    }

    protected function lookAt(Element $element, Page $page): ?Finding
    {
        return $element->name === 'html' && $element->isWritten() && trim($element->value('lang') ?? '') === ''
            ? $this->at($element, $page, 'The page does not say which language it is in; a screen reader has to guess.', 'Type lang="…" inside the html tag, such as lang="en".')
            : null;
    }
}
