<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;

/** A rule that looks at the written elements of some names, one by one. */
abstract readonly class ElementRule extends Rule
{
    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            foreach (array_filter($page->names(), $this->concerns(...)) as $name) {
                foreach ($page->named($name) as $element) {
                    $finding = $element->isWritten() ? $this->checkElement($element, $page, $exam) : null;
                    if ($finding !== null) {
                        yield $finding;
                    }
                }
            }
        }
    }

    /** Whether the rule is about elements of a name. */
    abstract protected function concerns(string $name): bool;

    abstract protected function checkElement(Element $element, Page $page, Examination $exam): ?Draft;
}
