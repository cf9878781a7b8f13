<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;

/** A rule that looks at the HTML elements of a page one by one. */
abstract readonly class ElementRule extends Rule
{
    final public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->elements as $element) {
                $finding = $this->lookAt($element, $page);
                if ($finding !== null) {
                    yield $finding;
                }
            }
        }
    }

    abstract protected function lookAt(Element $element, Page $page): ?Finding;

    /** At the start tag of an element that was written. */
    final protected function at(Element $element, Page $page, string $message, string $remedy): Finding
    {
        return $this->on($element, $page->file, $element->place(), $message, $remedy);
    }
}
