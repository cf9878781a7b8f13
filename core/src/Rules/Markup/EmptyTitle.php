<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;

/** A title with nothing in it (HTML Standard, 4.2.2). */
final readonly class EmptyTitle extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/empty-title', Weight::Fault, ProofMark::Insert, 'A title is empty.');
    }

    public function speaksFor(): array
    {
        return [Titles::class => ['empty']];
    }

    protected function concerns(string $name): bool
    {
        return $name === 'title';
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Finding
    {
        return trim($element->text()) === ''
            ? $this->elementFinding($page, $element, Titles::BLANK, Titles::BLANK_REMEDY, span: $element->span())
            : null;
    }
}
