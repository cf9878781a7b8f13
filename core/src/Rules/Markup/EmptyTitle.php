<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;

/** A title with nothing in it (HTML Standard, 4.2.2). */
final readonly class EmptyTitle extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/empty-title', Weight::Fault, ProofMark::Insert, 'A title is empty.');
    }

    protected function lookAt(Element $element, Page $page): ?Finding
    {
        return $element->name === 'title' && $element->isWritten() && trim($element->text()) === ''
            ? $this->at($element, $page, 'The title is empty.', 'Write words between <title> and </title> that name the site and this page.')
            : null;
    }
}
